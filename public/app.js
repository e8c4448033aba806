// What the pages need beyond htmx: the working's lines lit, the keys of the design, printing, and a word when the line is down.
(function () {
  "use strict";

  // A field that someone is typing in keeps what they typed while the page around it is renewed.
  if (window.Idiomorph) window.Idiomorph.defaults.ignoreActiveValue = true;

  var desk = function () { return document.getElementById("desk"); };

  function light(name, on) {
    document.querySelectorAll('[data-line="' + name + '"]').forEach(function (line) { line.classList.toggle("lit", on); });
  }

  function shownBy(event) { return event.target.closest && event.target.closest("[data-shows]"); }

  ["mouseover", "focusin"].forEach(function (kind) {
    document.addEventListener(kind, function (event) {
      var figure = shownBy(event);
      if (figure) light(figure.dataset.shows, true);
    });
  });
  ["mouseout", "focusout"].forEach(function (kind) {
    document.addEventListener(kind, function (event) {
      var figure = shownBy(event);
      if (figure) light(figure.dataset.shows, false);
    });
  });

  function go(address) { if (address) window.location.assign(address); }

  function station(number) {
    var links = document.querySelectorAll(".tape a");
    if (links[number - 1]) go(links[number - 1].href);
  }

  var keys = {
    "[": function () { if (desk()) go(desk().dataset.previous); },
    "]": function () { if (desk()) go(desk().dataset.next); },
    "w": function () {
      var working = document.querySelector(".working details");
      if (working) { working.open = !working.open; working.querySelector("summary").focus(); }
    },
    "u": function () {
      var unit = document.getElementById("other-unit");
      if (unit) unit.click();
    },
    "/": function () { go("/find"); },
    "?": function () { go("/keys"); }
  };

  document.addEventListener("keydown", function (event) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.closest("input, select, textarea")) return;
    if (/^[1-4]$/.test(event.key)) station(Number(event.key));
    else if (keys[event.key]) keys[event.key]();
    else return;
    event.preventDefault();
  });

  document.addEventListener("click", function (event) {
    if (event.target.closest("[data-print]")) window.print();
  });

  // On a phone the working is folded away until it is asked for.
  function fold() {
    if (window.matchMedia("(max-width: 60rem)").matches) {
      document.querySelectorAll(".working details").forEach(function (working) { working.open = false; });
    }
  }
  fold();

  var trouble = document.getElementById("trouble");
  document.addEventListener("htmx:sendError", function () { trouble.hidden = false; });
  document.addEventListener("htmx:responseError", function () { trouble.hidden = false; });
  document.addEventListener("htmx:afterSwap", function () { trouble.hidden = true; });
})();
