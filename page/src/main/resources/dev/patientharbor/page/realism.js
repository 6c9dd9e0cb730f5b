// How real each environment is.
function realism() {
  const { order, slots, never, unused } = data.realism;
  main.append(
    make("p", { class: "soft", style: "margin-top:0" },
      "What each environment meets for a slot, from the desk to the real thing. The mark shows where the real one is met first."),
    make("div", { class: "sheet", tabindex: "0", role: "region", "aria-label": "How real each environment is" },
      make("table", null,
        make("thead", null, make("tr", null, make("th", { scope: "col", class: "who" }, "Slot"),
          order.map((name) => make("th", { scope: "col" }, name)), make("th", { scope: "col" }, "Real first in"))),
        make("tbody", null, slots.map((slot) => make("tr", null,
          make("th", { scope: "row", class: "who" }, slot.slot,
            slot.past ? make("span", { class: "detail sev-warning" }, slot.past) : null),
          slot.kinds.map((kinds, i) => make("td", {
            class: "real-cell" + (order[i] === slot.first ? " first" : ""),
          }, kinds.length ? kinds.map((kind) => [badge(kind), " "]) : make("span", { class: "soft" }, "—"))),
          make("td", null, slot.first || make("span", { class: "soft" }, "nowhere"))))))),
    make("h2", null, "Never real: " + plural(never.length, "need")),
    never.length ? make("ul", { class: "columns" }, never.map((each) => make("li", null,
      make("a", { href: link(["consumer", each.c]) }, each.c), " " + each.n,
      make("span", { class: "soft" }, " · " + each.slot)))) : make("p", { class: "soft" }, "Every need meets the real thing in some profile."),
    make("h2", null, "Used by no profile: " + plural(unused.length, "class").replace(/classs$/, "classes")),
    unused.length ? make("ul", { class: "columns" }, unused.map((name) => make("li", null, name)))
      : make("p", { class: "soft" }, "Every class that could fill a slot is used."));
}
