// The matrix: a row for each need, a column for each profile.
function matrix(options) {
  const state = {
    text: options.get("text") || "",
    kind: options.get("kind") || "",
    profile: options.get("profile") || "",
    differing: options.get("differing") === "1",
    fold: options.get("fold") === "1",
    sort: options.get("sort") || "",
  };
  const kinds = [...new Set(data.answers.map((answer) => answer.k))].sort();
  const sheet = make("div", { class: "sheet", tabindex: "0", role: "region", "aria-label": "Who receives what" });
  const count = make("span", { class: "count" });
  const choose = (label, key, values) =>
    make("label", null, label,
      make("select", {
        onchange: (event) => {
          state[key] = event.target.value;
          show();
        },
      }, make("option", { value: "" }, "all"),
      values.map((value) => make("option", { value, selected: state[key] === value }, value))));
  const tick = (label, key) =>
    make("label", null,
      make("input", {
        type: "checkbox", checked: state[key], onchange: (event) => {
          state[key] = event.target.checked;
          show();
        },
      }), label);
  main.append(
    make("div", { class: "tools" },
      make("label", { class: "wide" }, "Find",
        make("input", {
          type: "search", value: state.text, placeholder: "consumer, need, slot, class", oninput: (event) => {
            state.text = event.target.value;
            show();
          },
        })),
      choose("Kind", "kind", kinds),
      choose("Profile", "profile", names),
      tick("Differences only", "differing"),
      tick("Fold equal needs", "fold"),
      count),
    sheet);

  function wanted() {
    const columns = state.profile ? [names.indexOf(state.profile)] : names.map((name, i) => i);
    const words = state.text.toLowerCase().split(/\s+/).filter(Boolean);
    let rows = data.rows.filter((row) => {
      if (state.differing && new Set(row.a).size < 2) {
        return false;
      }
      if (state.profile && row.a[columns[0]] < 0) {
        return false;
      }
      if (state.kind && !columns.some((i) => row.a[i] >= 0 && data.answers[row.a[i]].k === state.kind)) {
        return false;
      }
      const who = (row.c + " " + row.full + " " + row.n + " " + row.slot + " " + row.as).toLowerCase();
      return words.every((word) =>
        who.includes(word) || columns.some((i) => row.a[i] >= 0 && answersText[row.a[i]].includes(word)));
    }).map((row) => ({ row, who: [row] }));
    if (state.fold) {
      const groups = new Map();
      for (const each of rows) {
        const key = JSON.stringify([each.row.slot, each.row.a, each.row.past]);
        if (groups.has(key)) {
          groups.get(key).who.push(each.row);
        } else {
          groups.set(key, each);
        }
      }
      rows = [...groups.values()];
    }
    const descends = state.sort.startsWith("-");
    const by = state.sort.replace(/^-/, "");
    if (by) {
      const at = names.indexOf(by.replace(/^profile:/, ""));
      const key = (each) =>
        by === "slot" ? each.row.slot
          : by === "need" ? each.row.c + " " + each.row.n
            : at >= 0 && each.row.a[at] >= 0 ? answersText[each.row.a[at]] : "";
      rows.sort((one, other) => key(one).localeCompare(key(other), "en") * (descends ? -1 : 1));
    }
    return { rows, columns };
  }

  function line(each, columns) {
    const row = each.row;
    const shown = columns.map((i) => row.a[i]);
    const cells = [];
    for (let i = 0; i < shown.length;) {
      let next = i + 1;
      while (next < shown.length && shown[next] === shown[i]) {
        next++;
      }
      const kind = shown[i] < 0 ? "none" : shape(data.answers[shown[i]].k);
      cells.push(make("td", {
        class: "answer is-" + kind + (i > 0 ? " changes" : ""),
        colspan: next - i > 1 ? next - i : null,
      }, cell(shown[i])));
      i = next;
    }
    const who = each.who.map((asking, i) => [
      i > 0 ? ", " : "",
      make("a", { href: link(["consumer", asking.full]) }, breakable(asking.c)),
      make("span", { class: "soft" }, " " + asking.n + (asking.as ? " (" + asking.as + ")" : "")),
      data.byItself.filter((one) => one.full === asking.full).flatMap((one) => one.places)
        .map((place) => make("span", { class: "detail sev-warning" }, place.replace(/ · .*/, ""))),
    ]);
    return make("tr", null,
      make("th", { scope: "row", class: "who" }, who),
      make("td", { class: "slot" }, breakable(row.slot),
        row.past ? make("span", { class: "detail sev-warning" }, row.past) : null),
      cells);
  }

  function head(columns) {
    const column = (label, key, properties, more) => {
      const sorted = state.sort.replace(/^-/, "") === key;
      return make("th", {
        scope: "col", "aria-sort": sorted ? (state.sort.startsWith("-") ? "descending" : "ascending") : "none",
        ...properties,
      }, make("button", {
        type: "button", onclick: () => {
          state.sort = state.sort === key ? "-" + key : state.sort === "-" + key ? "" : key;
          show();
        },
      }, label), more);
    };
    return make("thead", null, make("tr", null,
      column("Consumer and need", "need", { class: "who" }),
      column("Asks for", "slot", {}),
      columns.map((i) => column(names[i], "profile:" + names[i], {},
        make("span", { class: "print" }, data.profiles[i].print)))));
  }

  function show() {
    const { rows, columns } = wanted();
    const table = make("table", {
      class: "fixed", "aria-rowcount": rows.length + 1, style: "min-width:" + (390 + 150 * columns.length) + "px",
    }, make("colgroup", null, make("col", { class: "col-who" }), make("col", { class: "col-slot" })), head(columns));
    if (rows.length * columns.length <= MANY) {
      table.append(make("tbody", null, rows.map((each) => line(each, columns))));
    } else {
      portions(table, rows, columns);
    }
    const focused = document.activeElement && document.activeElement.closest("thead")
      ? document.activeElement.textContent : null;
    sheet.replaceChildren(rows.length ? table : make("p", { class: "empty" }, "No need fits. Take a filter away."));
    if (focused) {
      [...sheet.querySelectorAll("thead button")].filter((button) => button.textContent === focused)
        .forEach((button) => button.focus());
    }
    const needs = rows.reduce((sum, each) => sum + each.who.length, 0);
    const differing = rows.filter((each) => new Set(columns.map((i) => each.row.a[i])).size > 1).length;
    count.textContent = needs + " of " + plural(data.rows.length, "need")
      + (columns.length > 1 ? ", " + differing + (state.fold ? " lines" : "") + " not alike" : "");
    told.textContent = count.textContent;
    note(["matrix"], {
      text: state.text, kind: state.kind, profile: state.profile, differing: state.differing ? "1" : "",
      fold: state.fold ? "1" : "", sort: state.sort,
    });
  }

  /** Draws the lines of a large table as they come into sight, and all of them for print. */
  function portions(table, rows, columns) {
    const waiting = new Map();
    const put = (body) => {
      const from = waiting.get(body);
      if (from !== undefined) {
        waiting.delete(body);
        body.replaceChildren(...rows.slice(from, from + PORTION).map((each) => line(each, columns)));
      }
    };
    const watch = new IntersectionObserver((seen) => {
      for (const each of seen) {
        if (each.isIntersecting) {
          put(each.target);
          watch.unobserve(each.target);
        }
      }
    }, { root: sheet, rootMargin: "600px" });
    for (let from = 0; from < rows.length; from += PORTION) {
      const height = Math.min(PORTION, rows.length - from) * 32;
      const body = make("tbody", null,
        make("tr", { class: "hold" }, make("td", { style: "height:" + height + "px", colspan: columns.length + 2 })));
      waiting.set(body, from);
      table.append(body);
      watch.observe(body);
    }
    window.addEventListener("beforeprint", () => [...waiting.keys()].forEach(put));
  }
  show();
}
