// What the page shows, and where it is drawn.
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
