// Coming into a class: the code comes behind the number sign of an address that was read off the wall. Whoever is done leaves nothing here.
import { kept } from "../page/kept.js";

const code = /** @type {HTMLInputElement} */ (document.getElementById("code"));

if (code && location.hash.length > 1) {
  code.value = location.hash.slice(1, 20);
  history.replaceState(null, "", location.pathname);
  document.getElementById("name").focus();
}

/** What was kept of the boards of a class goes. */
if (location.pathname === "/in/done") kept.forget("/class/");
