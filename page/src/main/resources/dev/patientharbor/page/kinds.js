// Kinds by their words and shapes, and what a cell says.
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
