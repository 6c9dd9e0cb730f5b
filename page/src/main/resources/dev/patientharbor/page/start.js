// The views, and which one is shown.
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
  const views = document.getElementById("views");
  views.replaceChildren(...VIEWS.map(([name, label]) => make("li", null,
    make("a", { href: "#" + name, "aria-current": name === view[0] ? "page" : null }, label))));
  // Where the names of the views have no room, that of this one is seen.
  const current = views.querySelector("[aria-current]");
  views.scrollLeft = current.offsetLeft + current.offsetWidth - views.offsetLeft - views.clientWidth;
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
