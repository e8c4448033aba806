// What stands half filled in in a form that is sent whole: it is left alone while the page is shown anew, and is there
// again when the page is, until it is sent or the form has become one about something else.
(function () {
  "use strict";

  var KEPT = "earnest-fold-half:";
  // What is filled in in a form that is sent whole by the journal, and isn't on its way.
  var FIELDS = "form[method=post]:not([data-plain]):not([enctype]):not(.on-its-way) [name]";
  // What a form says besides what it is about.
  var BESIDES = /^(authenticity_token|once|version|unit|figures|back|saw\[.*)$/;
  var box = document.getElementById("journal"), words = box ? box.dataset.half : "";
  // What one person typed on this device waits for that person.
  var whose = document.body.dataset.whose || "";

  function address() { return location.pathname + location.search; }

  function isEdit(control) { return Boolean(control.form) && control.form.matches("form[data-edits]"); }

  function isBox(control) { return control.matches("[type=checkbox], [type=radio]"); }

  function shownAtFirst(control) {
    if (control.tagName !== "SELECT") return control.defaultValue;
    var options = Array.from(control.options);
    var chosen = options.find(function (option) { return option.defaultSelected; }) || options[0];
    return chosen ? chosen.value : "";
  }

  // What stands half filled in in a form that is sent whole is nobody else's.
  function halfFilledIn(control) {
    if (!control.form || isEdit(control)) return false;
    if (!control.matches("input, select, textarea") || control.type === "hidden") return false;
    // What is chosen in a form that only asks is the page's own.
    if (control.form.method !== "post" && (isBox(control) || control.tagName === "SELECT")) return false;
    return isBox(control) ? control.checked !== control.defaultChecked : control.value !== shownAtFirst(control);
  }

  function asShownNow(control) {
    if (control.type === "hidden" || !control.matches("input, select, textarea")) return;
    if (isBox(control)) control.defaultChecked = control.checked;
    else if (control.tagName !== "SELECT") control.defaultValue = control.value;
    else Array.from(control.options).forEach(function (option) { option.defaultSelected = option.selected; });
  }

  // A place on a drawing that was touched goes with what is typed of it.
  function pointedAt(control) {
    return "touched" in control.dataset && control.value !== "" && Array.from(control.form.elements).some(halfFilledIn);
  }

  // What a form is about: where it goes, and which step, cut or piece it names. What is typed for one is never
  // another's.
  function subject(form) {
    var names = Array.from(form.querySelectorAll("input[type=hidden][name]:not([data-touched])"));
    return names.filter(function (field) { return !BESIDES.test(field.name); })
      .map(function (field) { return field.name + "=" + field.value; })
      .concat(form.getAttribute("action")).join("&");
  }

  // What was refused is told at its field, and stands there as if the house had it.
  function refused(control) {
    if (!control.matches("input:not([type=hidden]), select, textarea") || isEdit(control)) return false;
    return Boolean(control.closest("[data-told]"));
  }

  function isOpen(control) {
    if (!control.form || control.matches("[type=password], [type=file]")) return false;
    return halfFilledIn(control) || pointedAt(control) || refused(control);
  }

  // What stands half filled in in a form is there again when the page is, in this tab.
  function keepHalf() {
    var half = Array.from(document.querySelectorAll(FIELDS)).filter(isOpen).map(function (control) {
      var saw = control.form.elements["saw[" + control.name + "]"];
      return { of: subject(control.form), name: control.name, value: control.value, on: control.checked,
        saw: saw && saw.value };
    });
    try {
      if (half.length) sessionStorage.setItem(KEPT + address(), JSON.stringify({ whose: whose, half: half }));
      else sessionStorage.removeItem(KEPT + address());
    } catch (closed) { return; }
  }

  function putBack() {
    var there = null;
    try { there = JSON.parse(sessionStorage.getItem(KEPT + address())); } catch (unreadable) { return; }
    if (there && Array.isArray(there.half) && there.whose === whose) there.half.forEach(fillIn);
  }

  function offers(select, value) {
    return Array.from(select.options).some(function (option) { return option.value === value; });
  }

  function fillIn(one) {
    var form = Array.from(document.forms).find(function (other) {
      return other.method === "post" && other.elements[one.name] && subject(other) === one.of;
    });
    var control = form && Array.from(form.querySelectorAll("[name]")).find(function (other) {
      if (other.type === "hidden" && !("touched" in other.dataset)) return false;
      return other.name === one.name && (!isBox(other) || other.value === one.value);
    });
    if (!control) return;
    if (control.type !== "hidden") control.dataset.halfTyped = "";
    if (isBox(control)) control.checked = one.on;
    else if (control.tagName !== "SELECT" || offers(control, one.value)) control.value = one.value;
    var saw = form.elements["saw[" + one.name + "]"];
    if (saw && one.saw !== undefined) saw.value = one.saw;
    for (var fold = control.closest("details"); fold; fold = fold.parentElement.closest("details")) fold.open = true;
  }

  function fieldOf(control) { return control.closest(".field") || control.parentElement; }

  function noted(control, name, words) {
    var note = document.createElement("small");
    note.className = name;
    note.textContent = words;
    fieldOf(control).appendChild(note);
  }

  // Nobody takes for kept what was only typed.
  function markHalf() {
    document.querySelectorAll(".half-mark").forEach(function (note) { note.remove(); });
    document.querySelectorAll("[data-half-typed]").forEach(function (control) {
      if (!halfFilledIn(control)) delete control.dataset.halfTyped;
      else if (!fieldOf(control).querySelector(".half-mark")) noted(control, "half-mark", words);
    });
  }

  document.addEventListener("input", markHalf);
  window.addEventListener("pagehide", keepHalf);

  var house = window.EarnestFold = window.EarnestFold || {};
  house.half = { filledIn: halfFilledIn, pointedAt: pointedAt, asShownNow: asShownNow, shownAtFirst: shownAtFirst,
    isBox: isBox, isEdit: isEdit, subject: subject, mark: markHalf, fieldOf: fieldOf, noted: noted };
  putBack();
  markHalf();
})();
