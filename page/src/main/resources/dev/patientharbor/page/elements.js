// Elements, made of text: nothing that was read becomes markup.
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
