// What is wrong, and what to do.
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
