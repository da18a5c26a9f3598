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
        // Somebody's working, a number before each line.
        if r.flawed != none {
          v(4pt)
          block(inset: (left: 8pt, y: 2pt), stroke: (left: 1.2pt + faint),
            grid(columns: (12pt, 1fr), row-gutter: 7pt, align: horizon,
              ..r.flawed.enumerate().map(((at, line)) => (text(size: 9pt, weight: 700, str(at + 1)), pieces(line))).flatten()))
        }
        // Beside a picture there is room to work.
        if r.figure != none { v(6pt); align(left, scene(r.figure)) }
        if r.choices != none {
          v(5pt)
          grid(columns: (1fr, 1fr), row-gutter: 9pt, column-gutter: 12pt,
            ..r.choices.enumerate().map(((at, choice)) => [#box(stroke: 0.7pt + ink, radius: 2pt, inset: (x: 4pt, y: 2.5pt), baseline: 2.5pt,
              text(size: 9pt, weight: 700, ("A", "B", "C", "D").at(at)))#h(6pt)#pieces(choice)]))
          v(8mm)
        } else if r.figure != none { v(8mm) }
        // What is only to be ticked needs little room.
        else if r.place.space == "circles" and not r.place.because { v(9mm) }
        else { v(if wide { 22mm } else { 30mm }) }
        if r.choices == none { answer-place(r.place); v(5pt) }
      })
    })))
}
