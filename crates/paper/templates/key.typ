#import "/common.typ": *
#let data = json("/data.json")
#show: page-of.with(data, if data.full { "full key" } else { "key" })

#heading(level: 1, data.title + (if data.full { ": full key" } else { ": key" }))

#let working(r) = table(
  columns: (1fr, 1fr), stroke: none, inset: (x: 4pt, y: 4.5pt), align: (left + horizon, left + horizon),
  ..r.lines.map(l => (pieces(l.math), text(size: 9.5pt, fill: faint, pieces(l.reason)))).flatten())

#for stage in data.stages {
  stage-head(stage.name)
  for r in stage.rungs {
    block(breakable: false, width: 100%, below: 11pt, grid(columns: (26pt, 1fr), column-gutter: 6pt, cell(r.number), {
      if data.full { text(size: 10.5pt, pieces(r.prompt)); v(2pt) }
      box(fill: ground, inset: (x: 6pt, y: 5pt), radius: 3pt, text(weight: 700)[Answer: #pieces(r.answer)])
      if data.full { v(1pt); working(r) }
      if data.full and r.grown != none { v(3pt); align(left, scene(r.grown)) }
    }))
  }
}
