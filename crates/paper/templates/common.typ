// What every sheet shares: type, colours, mathematics out of data, scenes.
#let ink = rgb("#22303c")
#let faint = rgb("#6b7780")
#let honey = rgb("#f6c453")
#let ground = rgb("#f4efe4")
#let tones = (ink: ink, faint: faint, honey: honey, deep: rgb("#7a4f00"), ground: ground)

// Mathematics as nodes, made by math.rs. Text stays text: nothing of it is ever evaluated.
#let m(node) = {
  let k = node.k
  if k == "num" { $#text(node.v)$.body }
  else if k == "var" { math.italic(node.v) }
  else if k == "text" { text(font: "Atkinson Hyperlegible Next", node.v) }
  else if k == "row" { node.items.map(m).sum(default: []) }
  else if k == "frac" { math.frac(m(node.a), m(node.b)) }
  else if k == "sup" { math.attach(m(node.a), t: m(node.b)) }
  else if k == "sub" { math.attach(m(node.a), b: m(node.b)) }
  else if k == "root" {
    if node.index == 2 { math.sqrt(m(node.a)) } else { math.root($#text(str(node.index))$.body, m(node.a)) }
  }
  else if k == "paren" { $lr((#m(node.a)))$.body }
  else if k == "abs" { $lr(|#m(node.a)|)$.body }
  else if k == "bin" { math.class("binary", node.v) }
  else if k == "rel" { math.class("relation", node.v) }
  else if k == "sign" { math.class("unary", node.v) }
  else if k == "op" { math.op(node.v) }
  else if k == "thin" { h(0.17em) }
  else { [] }
}

// How a node sounds, for the alternative text of an equation.
#let spoken(node) = {
  let k = node.k
  if k in ("num", "var", "text", "op") { node.v }
  else if k == "row" { node.items.map(spoken).join(" ") }
  else if k == "frac" { "(" + spoken(node.a) + ") over (" + spoken(node.b) + ")" }
  else if k == "sup" { spoken(node.a) + " to the power " + spoken(node.b) }
  else if k == "sub" { spoken(node.a) + " sub " + spoken(node.b) }
  else if k == "root" { "root of (" + spoken(node.a) + ")" }
  else if k == "paren" { "(" + spoken(node.a) + ")" }
  else if k == "abs" { "absolute value of (" + spoken(node.a) + ")" }
  else { node.v }
}

#let formula(node) = math.equation(block: false, alt: spoken(node), math.display(m(node)))
#let pieces(parts) = parts.map(p => if "m" in p { formula(p.m) } else { p.t }).sum(default: [])

#let unit = 0.72pt
#let scene(s) = figure(
  alt: s.describes,
  kind: image, supplement: none, outlined: false,
  box(width: s.width * unit, height: s.height * unit, {
    for shape in s.shapes {
      if shape.kind == "line" {
        place(line(start: (shape.x1 * unit, shape.y1 * unit), end: (shape.x2 * unit, shape.y2 * unit),
          stroke: tones.at(shape.tone) + shape.width * unit))
      } else if shape.kind == "box" {
        place(dx: shape.x * unit, dy: shape.y * unit, rect(width: shape.width * unit, height: shape.height * unit,
          stroke: ink + 0.7pt, fill: if shape.fill == none { none } else { tones.at(shape.fill) }))
      } else if shape.kind == "dot" {
        place(dx: (shape.x - shape.radius) * unit, dy: (shape.y - shape.radius) * unit,
          circle(radius: shape.radius * unit, fill: if shape.hollow { white } else { tones.at(shape.tone) },
            stroke: (if shape.hollow { tones.at(shape.tone) } else { ink }) + 0.7pt))
      } else if shape.kind == "area" {
        place(polygon(..shape.points.map(p => (p.at(0) * unit, p.at(1) * unit)),
          stroke: ink + 0.7pt, fill: tones.at(shape.fill)))
      } else if shape.kind == "curve" {
        let points = shape.points.map(p => (p.at(0) * unit, p.at(1) * unit))
        place(curve(curve.move(points.first()), ..points.slice(1).map(p => curve.line(p)), fill: none,
          stroke: (paint: tones.at(shape.tone), thickness: shape.width * unit, dash: if shape.dashed { "dashed" } else { none })))
      }
    }
    for label in s.labels {
      let body = text(size: 10pt, pieces(label.text))
      context {
        let size = measure(body)
        let shift = if label.anchor == "middle" { size.width / 2 } else if label.anchor == "end" { size.width } else { 0pt }
        place(dx: label.x * unit - shift, dy: label.y * unit - size.height / 2, body)
      }
    }
  }))

// A hexagon with a number in it: the mark of a rung.
#let cell(number) = box(width: 22pt, height: 19pt, baseline: 5pt, {
  place(polygon(stroke: ink + 0.9pt, fill: white,
    (5.5pt, 0pt), (16.5pt, 0pt), (22pt, 9.5pt), (16.5pt, 19pt), (5.5pt, 19pt), (0pt, 9.5pt)))
  place(center + horizon, text(size: 9.5pt, weight: 700, str(number)))
})

#let page-of(data, what, body) = {
  set document(title: data.title + ", " + what)
  set page(paper: "a4", margin: (x: 18mm, top: 16mm, bottom: 18mm), footer: context {
    set text(size: 8pt, fill: faint)
    grid(columns: (1fr, auto), [Honey Ladder · sheet #data.seed, catalogue #data.version],
      counter(page).display("1 / 1", both: true))
  })
  set text(font: ("Atkinson Hyperlegible Next", "Libertinus Serif"), size: 11.5pt, fill: ink, lang: "en")
  set par(leading: 0.75em)
  show math.equation: set text(size: 1.08em)
  show math.equation: set text(top-edge: "bounds", bottom-edge: "bounds")
  show figure: set align(left)
  show heading.where(level: 1): set text(size: 19pt)
  body
}

#let stage-head(name) = block(above: 16pt, below: 10pt, sticky: true, {
  show heading: set text(size: 12.5pt)
  grid(columns: (auto, 1fr), column-gutter: 8pt, align: horizon,
    heading(level: 2, name), line(length: 100%, stroke: honey + 2pt))
})

// Where the answer is written: a line, a box with its unit, circles to tick.
#let answer-place(place) = {
  let rule(width) = box(width: width, line(length: 100%, stroke: 0.6pt + faint))
  let slot(width) = box(width: width, height: 15pt, baseline: 4pt, stroke: 0.7pt + faint, radius: 2pt)
  set text(size: 10pt)
  if place.space == "circles" {
    place.options.map(option => [#box(circle(radius: 4.5pt, stroke: 0.7pt + ink), baseline: 1pt)#h(5pt)#pieces(option)]).join(h(14pt))
    if place.because [ #linebreak() #v(2pt) because #rule(70%)]
  } else if place.space == "box" [#slot(30mm)#h(5pt)#place.unit]
  else if place.space == "line_number" [Line #slot(9mm) #h(4pt) It should be #rule(45mm)]
  else if place.space == "line" [#rule(45mm)]
}
