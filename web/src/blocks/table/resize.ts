/** A table with another number of rows and columns: what stands in it stays where it is. */
export interface Cells {
  heads: string[]
  rows: string[][]
}

export function resized(table: Cells, rows: number, columns: number): Cells {
  const line = (cells: string[] = []): string[] => Array.from({ length: columns }, (_, at) => cells[at] ?? '')
  return { heads: line(table.heads), rows: Array.from({ length: rows }, (_, at) => line(table.rows[at])) }
}
