// One consumer: its needs in every profile.
const consumers = [...new Map([...data.rows, ...data.byItself].map((row) => [row.full, row.c])).entries()]
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
      byItself(chosen[0]),
      data.rows.filter((row) => row.full === chosen[0]).map(need))));
  const current = list.querySelector("[aria-current]");
  if (current) {
    list.scrollTop = current.offsetTop - list.clientHeight / 2;
  }
}

function byItself(full) {
  const places = data.byItself.filter((each) => each.full === full).flatMap((each) => each.places);
  return places.length
    ? places.map((place) => make("p", { class: "sev-warning", style: "margin:0 0 8px" }, place))
    : make("p", { class: "soft", style: "margin:0 0 8px" }, "makes and fetches nothing by itself");
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
        fact("said at", said.at.startsWith(":") ? data.file + said.at : said.at)),
    ] : make("p", { class: "soft", style: "margin:4px 0" }, "nobody asks"));
}

const fact = (label, text) => text ? [make("dt", null, label), make("dd", null, text)] : null;

function chain(answer) {
  return make("div", { class: "chain" },
    answer.around.map((name) => [make("span", null, name), make("span", { class: "arrow" }, "→")]),
    make("span", { class: "end " + shape(answer.k) }, badge(answer.k), " " + answer.core));
}
