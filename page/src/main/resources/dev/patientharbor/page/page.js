"use strict";
(() => {
  const data = JSON.parse(document.getElementById("data").textContent);
  const main = document.getElementById("main");
  const told = document.getElementById("told");
  const names = data.profiles.map((profile) => profile.name);
  const STAND_INS = ["fake", "stub", "mock"];
  const SVG = "http://www.w3.org/2000/svg";
  /** More cells than these are drawn as they come into sight. */
  const MANY = 6000;
  const PORTION = 40;

  data.rows.sort((one, other) => one.c.localeCompare(other.c, "en"));

  // ---------------------------------------------------------------- elements

  function fill(element, properties, children) {
    for (const [name, value] of Object.entries(properties || {})) {
      if (name.startsWith("on")) {
        element.addEventListener(name.slice(2), value);
      } else if (value === true) {
        element.setAttribute(name, "");
      } else if (value !== false && value !== null && value !== undefined) {
        element.setAttribute(name, value);
      }
    }
    for (const child of children.flat(Infinity)) {
      if (child !== null && child !== undefined && child !== false && child !== "") {
        element.append(child);
      }
    }
    return element;
  }
  const make = (name, properties, ...children) =>
    fill(document.createElement(name), properties, children);
  const draw = (name, properties, ...children) =>
    fill(document.createElementNS(SVG, name), properties, children);
  /** A name that may break before a capital letter, and after a sign. */
  const breakable = (text) => text.split(/(?<=[@.,<#])|(?<=[a-z])(?=[A-Z])/)
    .flatMap((part, i) => i > 0 ? [document.createElement("wbr"), part] : [part]);
  const plural = (number, word) => number + " " + word + (number === 1 ? "" : "s");

  // ---------------------------------------------------------------- addresses: #view/part/part?key=value

  function address() {
    const [path, query] = location.hash.replace(/^#/, "").split("?");
    const decoded = (text) => {
      try {
        return decodeURIComponent(text);
      } catch {
        return text;
      }
    };
    return {
      parts: path.split("/").map(decoded),
      options: new URLSearchParams(query || ""),
    };
  }
  function link(parts, options) {
    const query = new URLSearchParams();
    for (const [name, value] of Object.entries(options || {})) {
      if (value) {
        query.set(name, value);
      }
    }
    const text = query.toString();
    return "#" + parts.map(encodeURIComponent).join("/") + (text ? "?" + text : "");
  }
  /** Changes the address and draws nothing: the view has drawn it already. */
  function note(parts, options) {
    history.replaceState(null, "", link(parts, options));
  }

  // ---------------------------------------------------------------- words and kinds

  const shape = (kind) =>
    kind === "unmet" ? "unmet"
      : STAND_INS.includes(kind) ? "stand-in"
        : kind === "entry" ? "entry"
          : kind === "absent" || kind === "collection" ? "quiet" : "real";
  const badge = (kind) =>
    make("span", { class: "kind " + shape(kind) }, kind === "unmet" ? "UNMET" : kind);
  const chainText = (answer) => answer.around.map((name) => name + " → ").join("");
  const plainText = (answer) =>
    chainText(answer) + answer.k + " " + answer.core + (answer.given ? " " + answer.given : "")
    + (answer.members || []).map((member) => " " + member.key + " " + plainText(member.answer)).join("");
  const answersText = data.answers.map((answer) => plainText(answer).toLowerCase());

  function cell(number) {
    if (number < 0) {
      return [make("span", { class: "soft" }, "—", make("span", { class: "detail" }, "nobody asks"))];
    }
    const answer = data.answers[number];
    const parts = [badge(answer.k), " "];
    if (answer.around.length) {
      parts.push(make("span", { class: "around" }, chainText(answer)));
    }
    parts.push(breakable(answer.core));
    if (answer.members) {
      parts.push(make("span", { class: "detail" },
        answer.members.map((member) =>
          (member.key ? "@" + member.key + " " : "") + chainText(member.answer) + member.answer.k + " "
          + member.answer.core).join(", ")));
    }
    if (answer.given && answer.core) {
      parts.push(make("span", { class: "detail cut", title: answer.given }, answer.given));
    }
    return parts;
  }

  // ---------------------------------------------------------------- the matrix

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

  // ---------------------------------------------------------------- a consumer

  const consumers = [...new Map(data.rows.map((row) => [row.full, row.c])).entries()]
    .sort((one, other) => one[1].localeCompare(other[1], "en"));

  function consumer(full) {
    const chosen = consumers.find(([name, short]) => name === full || short === full) || consumers[0];
    if (!chosen) {
      main.append(make("p", { class: "empty" }, "Nobody needs anything."));
      return;
    }
    const list = make("ul", { class: "list" });
    const find = (text) => list.replaceChildren(...consumers
      .filter(([name]) => name.toLowerCase().includes(text.toLowerCase()))
      .map(([name, short]) => make("li", null,
        make("a", { href: link(["consumer", name]), "aria-current": name === chosen[0] ? "page" : null }, short))));
    find("");
    main.append(make("div", { class: "two" },
      make("div", null,
        make("div", { class: "tools" }, make("label", { class: "wide" }, "Find",
          make("input", { type: "search", placeholder: "consumer", oninput: (event) => find(event.target.value) }))),
        list),
      make("section", { "aria-labelledby": "who" },
        make("h2", { id: "who", style: "margin-top:0" }, chosen[1]),
        make("p", { class: "soft code" }, chosen[0]),
        data.rows.filter((row) => row.full === chosen[0]).map(need))));
    const current = list.querySelector("[aria-current]");
    if (current) {
      list.scrollTop = current.offsetTop - list.clientHeight / 2;
    }
  }

  function need(row) {
    const ways = new Map();
    row.a.forEach((answer, i) => {
      const key = answer + " " + row.s[i] + " " + sharers(row, i).join();
      ways.set(key, [...(ways.get(key) || []), i]);
    });
    return make("article", { class: "need" },
      make("h3", null, row.n, make("span", { class: "soft" }, " · " + row.slot)),
      make("p", { class: "soft", style: "margin:0" }, row.place + (row.as ? " · " + row.as : "")),
      row.past ? make("p", { class: "sev-warning", style: "margin:0" }, row.past) : null,
      [...ways.values()].map((columns) => way(row, columns)));
  }

  function sharers(row, i) {
    return row.i[i] < 0 ? [] : data.rows.filter((other) => other !== row && other.i[i] === row.i[i])
      .map((other) => other.full).filter((name, at, all) => name !== row.full && all.indexOf(name) === at);
  }

  function way(row, columns) {
    const number = row.a[columns[0]];
    const answer = number < 0 ? null : data.answers[number];
    const said = number < 0 ? null : data.said[row.s[columns[0]]];
    const others = sharers(row, columns[0]);
    return make("div", { class: "way" },
      make("div", null, columns.map((i, at) => [
        at > 0 ? ", " : "", make("a", { href: link(["graph", names[i]]) }, names[i])])),
      answer ? [
        chain(answer),
        (answer.members || []).map((member) => make("div", { style: "margin-left:22px" },
          member.key ? make("span", { class: "soft" }, "@" + member.key) : null, chain(member.answer))),
        make("dl", null,
          fact("given", answer.given),
          fact("instance", answer.life && answer.life + " " + said.by),
          others.length ? [make("dt", null, "shared with"), make("dd", null, others.map((name, at) => [
            at > 0 ? ", " : "",
            make("a", { href: link(["consumer", name]) }, new Map(consumers).get(name) || name)]))] : null,
          fact("said at", answer.at)),
      ] : make("p", { class: "soft", style: "margin:4px 0" }, "nobody asks"));
  }

  const fact = (label, text) => text ? [make("dt", null, label), make("dd", null, text)] : null;

  function chain(answer) {
    return make("div", { class: "chain" },
      answer.around.map((name) => [make("span", null, name), make("span", { class: "arrow" }, "→")]),
      make("span", { class: "end " + shape(answer.k) }, badge(answer.k), " " + answer.core));
  }

  // ---------------------------------------------------------------- the graph

  function graph(parts, options) {
    const at = Math.max(0, names.indexOf(parts[0] || ""));
    if (!data.graphs.length) {
      main.append(make("p", { class: "empty" }, "There is no profile to draw."));
      return;
    }
    const drawn = data.graphs[at];
    const layout = data.layouts[drawn.layout];
    const other = names.indexOf(options.get("with") || "");
    const sign = (node) => node.slot + "\n" + node.lines.join("\n");
    const there = other < 0 ? null : new Set(data.graphs[other].nodes.map(sign));
    const here = new Set(drawn.nodes.map(sign));
    const title = (node) => node.slot ? node.slot + ": " + node.lines.slice(0, -1).join(" ") : node.lines[0];
    let chosen = parts[1] ? Number(parts[1]) : -1;

    const pick = (label, value, none, change) => make("label", null, label,
      make("select", { onchange: (event) => change(event.target.value) },
        none ? make("option", { value: "" }, none) : null,
        names.map((name) => make("option", { value: name, selected: name === value }, name))));
    const side = make("aside", { class: "side", "aria-live": "polite" });
    const svg = draw("svg", { role: "group", "aria-label": "The objects of " + names[at] + " and who holds whom" });
    const canvas = make("div", { class: "canvas", tabindex: "0", role: "group", "aria-label": "Graph; arrow keys move it, + and - zoom, 0 shows all" }, svg);
    main.append(
      make("div", { class: "tools" },
        pick("Profile", names[at], null, (name) => {
          location.hash = link(["graph", name], { with: options.get("with") });
        }),
        pick("Differences to", other < 0 ? "" : names[other], "none", (name) => {
          location.hash = link(["graph", names[at]], { with: name });
        }),
        make("span", { class: "count" }, plural(drawn.nodes.length, "object") + ", "
          + plural(drawn.edges.length, "arrow"))),
      make("div", { class: "stage" }, canvas, side));

    svg.append(draw("defs", null, draw("marker", {
      id: "end", viewBox: "0 0 8 8", refX: 8, refY: 4, markerWidth: 7, markerHeight: 7, orient: "auto",
    }, draw("path", { d: "M0,0 L8,4 L0,8" }))));
    const lines = drawn.edges.map((edge, i) => {
      const corners = layout.lines[i];
      let d = "";
      for (let c = 0; c < corners.length; c += 2) {
        d += (c ? " L" : "M") + corners[c] + "," + corners[c + 1];
      }
      return draw("path", { class: "line", d, "marker-end": "url(#end)" }, draw("title", null, edge[2]));
    });
    svg.append(...lines);
    const boxes = drawn.nodes.map((node, i) => {
      const [x, y, width, height] = layout.boxes.slice(4 * i, 4 * i + 4);
      const differs = there && !there.has(sign(node));
      return draw("g", {
        class: "box " + shape(node.k) + (differs ? " differs" : ""), transform: "translate(" + x + "," + y + ")",
        tabindex: "0", role: "button",
        "aria-label": node.lines.join(", ") + (differs ? ", not so in " + names[other] : ""),
        onclick: () => choose(i),
        onkeydown: (event) => {
          if (event.key === "Enter" || event.key === " ") {
            event.preventDefault();
            choose(i);
          }
        },
      },
      draw("rect", { width, height, rx: 3 }),
      draw("rect", { class: "flag", x: width - 9, y: -5, width: 14, height: 14, rx: 7 }),
      node.lines.map((text, l) => draw("text", {
        x: 8, y: 20 + 16 * l, class: node.slot && l === node.lines.length - 1 ? "slot-line" : null,
      }, text)));
    });
    svg.append(...boxes);

    // Where one looks: the part of the drawing that is seen.
    const view = { x: 0, y: 0, scale: 1 };
    const seen = () => {
      svg.setAttribute("viewBox", [view.x, view.y, canvas.clientWidth / view.scale, canvas.clientHeight / view.scale].join(" "));
    };
    const whole = () => {
      const fits = Math.min(canvas.clientWidth / layout.w, canvas.clientHeight / layout.h);
      view.scale = Math.min(1.2, Math.max(0.02, fits));
      view.x = (layout.w - canvas.clientWidth / view.scale) / 2;
      view.y = (layout.h - canvas.clientHeight / view.scale) / 2;
      seen();
    };
    const readable = () => {
      whole();
      if (view.scale < 0.7) {
        view.scale = Math.min(1.1, Math.max(0.8, canvas.clientWidth / layout.w));
        view.x = 0;
        view.y = 0;
        seen();
      }
    };
    const zoom = (by, px, py) => {
      const x = view.x + px / view.scale;
      const y = view.y + py / view.scale;
      view.scale = Math.min(4, Math.max(0.02, view.scale * by));
      view.x = x - px / view.scale;
      view.y = y - py / view.scale;
      seen();
    };
    const middle = (by) => zoom(by, canvas.clientWidth / 2, canvas.clientHeight / 2);
    main.querySelector(".count").before(make("span", { class: "zoom" },
      make("button", { type: "button", "aria-label": "Zoom in", onclick: () => middle(1.3) }, "+"),
      make("button", { type: "button", "aria-label": "Zoom out", onclick: () => middle(1 / 1.3) }, "−"),
      make("button", { type: "button", onclick: whole }, "Show all")));
    canvas.addEventListener("wheel", (event) => {
      event.preventDefault();
      const frame = canvas.getBoundingClientRect();
      zoom(event.deltaY < 0 ? 1.15 : 1 / 1.15, event.clientX - frame.left, event.clientY - frame.top);
    }, { passive: false });
    let drag = null;
    canvas.addEventListener("pointerdown", (event) => {
      drag = { x: event.clientX, y: event.clientY, from: { ...view } };
    });
    canvas.addEventListener("pointermove", (event) => {
      if (drag && event.buttons) {
        view.x = drag.from.x - (event.clientX - drag.x) / view.scale;
        view.y = drag.from.y - (event.clientY - drag.y) / view.scale;
        seen();
      }
    });
    canvas.addEventListener("pointerup", () => {
      drag = null;
    });
    canvas.addEventListener("keydown", (event) => {
      const step = 60 / view.scale;
      const moves = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] };
      if (moves[event.key]) {
        view.x += moves[event.key][0];
        view.y += moves[event.key][1];
        seen();
      } else if (event.key === "+" || event.key === "=") {
        middle(1.3);
      } else if (event.key === "-") {
        middle(1 / 1.3);
      } else if (event.key === "0") {
        whole();
      } else {
        return;
      }
      event.preventDefault();
    });

    function choose(i) {
      chosen = chosen === i ? -1 : i;
      note(chosen < 0 ? ["graph", names[at]] : ["graph", names[at], String(chosen)], { with: options.get("with") });
      light();
    }

    function light() {
      const lit = new Set(chosen < 0 ? [] : [chosen]);
      drawn.edges.forEach(([from, to], i) => {
        const touches = chosen >= 0 && (from === chosen || to === chosen);
        lines[i].setAttribute("class", "line" + (touches ? " lit" : chosen >= 0 ? " faded" : ""));
        if (touches) {
          lit.add(from).add(to);
        }
      });
      boxes.forEach((box, i) => {
        box.classList.toggle("chosen", i === chosen);
        box.classList.toggle("faded", chosen >= 0 && !lit.has(i));
        box.setAttribute("aria-pressed", String(i === chosen));
      });
      const item = (i, needed) => make("li", null,
        make("a", {
          href: link(["graph", names[at], String(i)], { with: options.get("with") }),
        }, title(drawn.nodes[i])), " ", make("span", { class: "soft" }, needed));
      const held = drawn.edges.filter(([from]) => from === chosen);
      const holders = drawn.edges.filter(([, to]) => to === chosen);
      const node = drawn.nodes[chosen];
      const missing = there ? data.graphs[other].nodes.filter((each) => !here.has(sign(each))) : [];
      const differing = there ? drawn.nodes.map((each, i) => i).filter((i) => !there.has(sign(drawn.nodes[i]))) : [];
      side.replaceChildren(...[
        node ? [
          make("h2", null, node.k === "entry" ? node.lines[0].replace(/^entry /, "") : node.slot),
          make("p", null, badge(node.k), " ", node.slot
            ? node.lines.slice(0, -1).join(" ").replace(" · " + node.k, "") : "nobody holds it"),
          make("h3", null, "Held by"),
          holders.length ? make("ul", null, holders.map(([from, , needed]) => item(from, needed)))
            : make("p", { class: "soft" }, "nobody"),
          make("h3", null, "Holds"),
          held.length ? make("ul", null, held.map(([, to, needed]) => item(to, needed))) : make("p", { class: "soft" }, "nothing"),
        ] : make("p", { class: "soft" }, "Choose an object: who holds it and what it holds is lit."),
        there ? [
          make("h3", null, make("span", { class: "spot" }), " Not so in " + names[other]),
          differing.length ? make("ul", null, differing.map((i) => item(i, ""))) : make("p", { class: "soft" }, "nothing"),
          make("h3", null, "Only in " + names[other]),
          missing.length ? make("ul", null, missing.map((each) => make("li", null, title(each))))
            : make("p", { class: "soft" }, "nothing"),
        ] : null,
      ].flat(Infinity).filter(Boolean));
    }
    readable();
    if (chosen >= 0 && boxes[chosen]) {
      const [x, y] = layout.boxes.slice(4 * chosen, 4 * chosen + 2);
      if (view.scale * layout.h > canvas.clientHeight) {
        view.x = Math.max(0, x - canvas.clientWidth / view.scale / 2);
        view.y = Math.max(0, y - canvas.clientHeight / view.scale / 2);
        seen();
      }
    } else {
      chosen = -1;
    }
    light();
    const resize = new ResizeObserver(seen);
    resize.observe(canvas);
  }

  // ---------------------------------------------------------------- findings

  function findings(parts) {
    const reported = data.findings.filter((finding) => !finding.because);
    const suppressed = data.findings.filter((finding) => finding.because);
    if (!data.findings.length) {
      main.append(make("p", { class: "empty" }, "Nothing is wrong, and nothing is suppressed."));
    }
    let above = null;
    for (const finding of reported) {
      const heading = finding.in.length ? finding.in.join(", ") : "the set as a whole";
      if (heading !== above) {
        main.append(make("h2", null, heading));
        above = heading;
      }
      main.append(article(finding, parts[0]));
    }
    if (suppressed.length) {
      main.append(make("h2", null, "Suppressed"));
      main.append(...suppressed.map((finding) => article(finding, parts[0])));
    }
    const asked = main.querySelector(".asked");
    if (asked) {
      asked.scrollIntoView({ block: "start" });
    }
  }

  function article(finding, asked) {
    return make("article", { class: "finding " + finding.sev + (finding.id === asked ? " asked" : "") },
      make("div", { class: "head" },
        make("span", { class: "sev-" + finding.sev }, finding.sev),
        make("b", null, finding.id),
        make("span", { class: "soft code" }, finding.at),
        finding.incomplete ? make("span", { class: "soft" }, "makes a profile incomplete") : null),
      make("p", null, finding.msg),
      finding.because ? make("p", { class: "soft" }, "not reported, because " + finding.because) : null,
      make("dl", null, finding.facts.filter((each) => each.label !== "write").map((each) =>
        [make("dt", null, each.label), make("dd", null, each.lines.map((text) => make("div", null, text)))])),
      finding.facts.filter((each) => each.label === "write").map((each) => write(each.lines)),
      data.pages[finding.id] ? make("details", null, make("summary", null, "What " + finding.id + " means"),
        make("pre", null, data.pages[finding.id])) : null);
  }

  /** Lines to write; where to is said behind them, and is not copied. */
  function write(lines) {
    const parts = lines.map((text) => text.match(/^(.*?\S) {4,}(\S.*)$/) || [text, text, ""]);
    const button = make("button", {
      type: "button", onclick: () => {
        const done = () => {
          button.textContent = "Copied";
          told.textContent = "Copied";
        };
        if (navigator.clipboard) {
          navigator.clipboard.writeText(parts.map((part) => part[1]).join("\n")).then(done, () => select(box));
        } else {
          select(box);
        }
      },
    }, "Copy");
    const box = make("div", { class: "write" }, make("div", null, parts.map((part, i) => [
      i > 0 ? "\n" : "", part[1], part[2] ? make("span", { class: "soft" }, "   " + part[2]) : ""])), button);
    return box;
  }

  function select(box) {
    const range = document.createRange();
    range.selectNodeContents(box.firstChild);
    getSelection().removeAllRanges();
    getSelection().addRange(range);
  }

  // ---------------------------------------------------------------- realism

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

  // ---------------------------------------------------------------- all together

  const wrong = data.findings.filter((finding) => !finding.because && finding.sev !== "note").length;
  const VIEWS = [
    ["matrix", "Matrix", (parts, options) => matrix(options)],
    ["consumer", "Consumer", (parts) => consumer(parts[0] || "")],
    ["graph", "Graph", (parts, options) => graph(parts, options)],
    ["findings", "Findings" + (wrong ? " (" + wrong + ")" : ""), (parts) => findings(parts)],
    ["realism", "Realism", () => realism()],
  ];

  const incomplete = data.profiles.filter((profile) => !profile.complete).length;
  document.getElementById("summary").append(
    make("b", { class: incomplete ? "bad" : "good" }, data.summary),
    " · " + plural(names.length, "profile") + " · " + plural(data.rows.length, "need") + " · " + data.file);

  function go() {
    const { parts, options } = address();
    const view = VIEWS.find(([name]) => name === parts[0]) || VIEWS[0];
    document.getElementById("views").replaceChildren(...VIEWS.map(([name, label]) => make("li", null,
      make("a", { href: "#" + name, "aria-current": name === view[0] ? "page" : null }, label))));
    document.title = view[1] + " · " + data.title;
    main.replaceChildren();
    view[2](parts.slice(1), options);
  }
  window.addEventListener("hashchange", () => {
    go();
    main.focus({ preventScroll: true });
    window.scrollTo(0, 0);
  });
  go();
})();
