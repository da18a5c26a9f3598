#import "/common.typ": *
#let data = json("/data.json")
#show: page-of.with(data, "sheet")

#grid(columns: (1fr, auto), align: (left + bottom, right + bottom), column-gutter: 12pt,
  heading(level: 1, data.title),
  text(size: 10pt)[Name #box(width: 46mm, line(length: 100%, stroke: 0.6pt + faint)) #h(6pt) Date #box(width: 24mm, line(length: 100%, stroke: 0.6pt + faint))])

#for stage in data.stages {
  stage-head(stage.name)
  // Short problems stand side by side; those with a picture or a long text take the width.
  let wide = stage.rungs.any(r => r.figure != none or r.prompt.map(p => if "t" in p { p.t.len() } else { 18 }).sum(default: 0) > 60)
  grid(columns: if wide { (1fr,) } else { (1fr, 1fr) }, column-gutter: 16pt, row-gutter: 12pt,
    ..stage.rungs.map(r => block(breakable: false, width: 100%, {
      grid(columns: (26pt, 1fr), column-gutter: 6pt, cell(r.number), {
        pieces(r.prompt)
        // Beside a picture there is room to work.
        if r.figure != none { v(6pt); align(left, scene(r.figure)) }
        if r.choices != none {
          v(5pt)
          grid(columns: (1fr, 1fr), row-gutter: 9pt, column-gutter: 12pt,
            ..r.choices.enumerate().map(((at, choice)) => [#box(stroke: 0.7pt + ink, radius: 2pt, inset: (x: 4pt, y: 2.5pt), baseline: 2.5pt,
              text(size: 9pt, weight: 700, ("A", "B", "C", "D").at(at)))#h(6pt)#pieces(choice)]))
          v(8mm)
        } else if r.figure != none { v(8mm) }
        else { v(if wide { 26mm } else { 34mm }) }
      })
    })))
}
