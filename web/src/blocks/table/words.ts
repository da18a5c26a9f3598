export const words = {
  name: 'Table',
  cell: (row: number, column: number) => `Row ${row}, column ${column}`,
  head: (column: number) => `Head of column ${column}`,
  moreRows: 'A row more',
  fewerRows: 'A row fewer',
  moreColumns: 'A column more',
  fewerColumns: 'A column fewer',
}
