#import "/common.typ": *
#let data = json("/data.json")
#set document(title: "A working")
#set page(width: auto, height: auto, margin: 14pt, fill: white)
#set text(font: ("Atkinson Hyperlegible Next", "Libertinus Serif"), size: 14pt, fill: ink, lang: "en")
#show math.equation: set text(size: 1.08em)
#show math.equation: set text(top-edge: "bounds", bottom-edge: "bounds")

#table(
  columns: (auto, auto), stroke: none, inset: (x: 5pt, y: 6pt), align: (left + horizon, left + horizon),
  ..data.lines.map(l => (pieces(l.line), text(size: 10.5pt, fill: faint, pieces(l.beside)))).flatten())
