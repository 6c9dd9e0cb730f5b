// Addresses of views: #view/part/part?key=value.
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
