// How real each environment is.
function realism() {
  const { order, slots, never, unused, met } = data.realism;
  const ran = (count) => count === 0 ? "no run" : plural(count, "run");
  const metIn = (slot, i) => !met || slot.runs[i] < 0 ? null
    : make("span", { class: "detail" + (slot.runs[i] === 0 ? " unmet-by-runs" : "") }, ran(slot.runs[i]));
  fill(main, null, [
    make("p", { class: "soft", style: "margin-top:0" },
      "What each environment meets for a slot, from the desk to the real thing. The mark shows where the real one is met first."
      + (met ? " Below a kind stands how many runs met it; of several things, the least met one." : "")),
    make("div", { class: "sheet", tabindex: "0", role: "region", "aria-label": "How real each environment is" },
      make("table", null,
        make("thead", null, make("tr", null, make("th", { scope: "col", class: "who" }, "Slot"),
          order.map((name) => make("th", { scope: "col" }, name)), make("th", { scope: "col" }, "Real first in"))),
        make("tbody", null, slots.map((slot) => make("tr", null,
          make("th", { scope: "row", class: "who" }, slot.slot,
            slot.past ? make("span", { class: "detail sev-warning" }, slot.past) : null),
          slot.kinds.map((kinds, i) => make("td", {
            class: "real-cell" + (order[i] === slot.first ? " first" : ""),
          }, kinds.length ? [kinds.map((kind) => [badge(kind), " "]), metIn(slot, i)]
            : make("span", { class: "soft" }, "—"))),
          make("td", null, slot.first || make("span", { class: "soft" }, "nowhere"))))))),
    met ? unmetByRuns(met) : null,
    make("h2", null, "Never real: " + plural(never.length, "need")),
    never.length ? make("ul", { class: "columns" }, never.map((each) => make("li", null,
      make("a", { href: link(["consumer", each.c]) }, each.c), " " + each.n,
      make("span", { class: "soft" }, " · " + each.slot)))) : make("p", { class: "soft" }, "Every need meets the real thing in some profile."),
    make("h2", null, "Used by no profile: " + plural(unused.length, "class").replace(/classs$/, "classes")),
    unused.length ? make("ul", { class: "columns" }, unused.map((name) => make("li", null, name)))
      : make("p", { class: "soft" }, "Every class that could fill a slot is used."),
  ]);
}

// What stands in a slot and no run met, and the entry consumers that none made.
function unmetByRuns({ answers, entries, outdated }) {
  const never = answers.filter((each) => Object.values(each.runs).every((count) => count === 0));
  return [
    make("h2", null, "Met by no run: " + never.length + " of " + plural(answers.length, "answer")),
    never.length ? make("div", { class: "sheet", tabindex: "0", role: "region", "aria-label": "Met by no run" },
      make("table", { class: "unmet-answers" },
        make("thead", null, make("tr", null, ["Slot", "What stands there", "In", "For"]
          .map((head) => make("th", { scope: "col" }, head)))),
        make("tbody", null, never.map((each) => make("tr", null,
          make("th", { scope: "row" }, breakable(each.slot)),
          make("td", null, badge(each.k), " ",
            make("span", { class: "around" }, chainText(each)), breakable(each.core)),
          make("td", null, Object.keys(each.runs).join(", ")),
          make("td", null, each.for.join(", "))))))) : make("p", { class: "soft" }, "Every answer was met."),
    entries.length ? [make("h2", null, "Made by no run: " + plural(entries.length, "entry consumer")),
      make("ul", { class: "columns" }, entries.map((name) => make("li", null, name)))] : null,
    outdated ? make("p", { class: "soft" }, plural(outdated, "answer") + " that runs met "
      + (outdated === 1 ? "stands" : "stand") + " in these profiles no more, or "
      + (outdated === 1 ? "was" : "were") + " swapped in by a test.") : null,
  ];
}
