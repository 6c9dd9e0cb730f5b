// The graph of a profile: who holds whom.
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
