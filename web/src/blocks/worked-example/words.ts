export const words = {
  name: 'Worked example',
  open: 'Open on the working bench',
}
