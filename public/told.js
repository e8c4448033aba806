// What is told at its field: why something can't be taken, and what two people saved differently. It stands until
// somebody types there again, sends it again or decides, whatever else is shown.
(function () {
  "use strict";

  function toldHere(node) { return Boolean(node.dataset) && "told" in node.dataset; }

  // What is wrong stands at its field until somebody types there again, or it is sent again, whatever is shown anew. A
  // field with the cursor in it, or with something that waits to be sent, was left as it is, so it is found by what is
  // told beside it.
  function tellAt(entry) {
    var names = entry.path ? [entry.path] : entry.fields.map(function (pair) { return pair[0]; });
    document.querySelectorAll("form .problem").forEach(function (problem) {
      var place = problem.closest(".field") || problem.parentElement;
      var controls = Array.from(place.querySelectorAll("input:not([type=hidden]), select, textarea"))
        .filter(function (control) { return names.includes(control.name); });
      if (!controls.length) return;
      place.dataset.told = "";
      controls.forEach(function (control) {
        control.setAttribute("aria-invalid", "true");
        if (problem.id) control.setAttribute("aria-describedby", problem.id);
      });
    });
  }

  function lift(control) {
    if (control === document.activeElement) control.removeAttribute("aria-invalid");
    var place = control.closest("[data-told]:not(.both)");
    [place].concat(Array.from(control.querySelectorAll("[data-told]"))).filter(Boolean).forEach(function (told) {
      delete told.dataset.told;
      told.querySelectorAll("[aria-invalid]").forEach(function (one) { one.removeAttribute("aria-invalid"); });
    });
  }

  // One of the figures that two people saved has been decided on.
  function settle(control) {
    var row = control.closest(".both tr"), both = row && row.closest(".both");
    if (both && row.parentElement.rows.length > 1) row.remove();
    else if (both) delete both.dataset.told;
  }

  // @return whether an answer that doesn't speak of it leaves it as it stands
  function stands(old, fresh) {
    if (!toldHere(old) || !fresh.querySelector || toldHere(fresh) || fresh.querySelector(".problem")) return false;
    // Which state of it all the page shows is said as it is by now.
    var version = old.querySelector("input[name=version]"), now = fresh.querySelector("input[name=version]");
    if (version && now) version.value = now.value;
    return true;
  }

  // Theirs is right: nothing is sent.
  document.addEventListener("click", function (event) {
    var button = event.target.closest("[data-theirs]"), both = button && button.closest(".both");
    if (!both) return;
    settle(button);
    if (!toldHere(both)) both.remove();
  });
  document.addEventListener("input", function (event) { lift(event.target); });

  var house = window.EarnestFold = window.EarnestFold || {};
  house.told = { here: toldHere, at: tellAt, lift: lift, settle: settle, stands: stands };
})();
