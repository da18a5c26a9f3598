export const words = {
  name: 'Worked example',
  open: 'Open the working bench',
}
