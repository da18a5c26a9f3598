/** How high a field for a longer text grows. */
export const LONG = { minRows: 1, maxRows: 8 }
