// What the pages need beyond htmx and the journal: the working's lines lit, the keys of the design, printing, flaws
// drawn on cloth.
(function () {
  "use strict";

  var desk = function () { return document.getElementById("desk"); };

  function light(name, on) {
    document.querySelectorAll('[data-line="' + name + '"]').forEach(function (line) {
      line.classList.toggle("lit", on);
    });
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

  function go(address) { window.EarnestFold.leave(address); }

  function station(number) {
    var links = document.querySelectorAll(".tape a");
    if (links[number - 1] && links[number - 1].href) go(links[number - 1].href);
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
    var ticking = document.querySelector('[data-key="' + event.key + '"]');
    if (ticking && !event.target.closest("button, a, summary")) ticking.click();
    else if (/^[1-7]$/.test(event.key)) station(Number(event.key));
    else if (keys[event.key]) keys[event.key]();
    else return;
    event.preventDefault();
  });

  document.addEventListener("click", function (event) {
    if (event.target.closest("[data-print]")) window.print();
  });

  // What is folded away opens where somebody is led to it.
  function unfold() {
    var place = location.hash.length > 1 && document.getElementById(location.hash.slice(1));
    if (place && place.matches("details")) place.open = true;
  }
  unfold();
  window.addEventListener("hashchange", unfold);

  // A distance meter: while its strip is open it is looked at again and again, and the field whose turn it is shows it.
  var LOOKS = 2000, OPENED = "earnest-fold-meter";

  function meter() { return document.getElementById("meter"); }

  function look() {
    if (meter() && meter().open && document.visibilityState === "visible" && window.htmx) {
      window.htmx.trigger(meter(), "look");
    }
  }

  function turn() {
    document.querySelectorAll(".field.turn").forEach(function (field) { field.classList.remove("turn"); });
    var name = meter() && meter().open && meter().dataset.turn;
    var control = name && document.querySelector('#station-form [name="' + name + '"]');
    if (control && control.closest(".field")) control.closest(".field").classList.add("turn");
  }

  function remembered(open) {
    try {
      if (open === undefined) return localStorage.getItem(OPENED) === "yes";
      localStorage.setItem(OPENED, open ? "yes" : "no");
    } catch (closed) { return false; }
  }

  if (meter()) {
    meter().open = remembered();
    setInterval(look, LOOKS);
    document.addEventListener("toggle", function (event) {
      if (event.target !== meter()) return;
      remembered(meter().open);
      look();
      turn();
    }, true);
    // What was typed is on its way: the next one is typed into an empty field, and what was asked before it, or before
    // its answer was shown, doesn't take the place of that answer.
    var turns = 0, asked = 0, said = 0;
    document.addEventListener("submit", function (event) {
      var typed = event.target.matches(".meter-typed") && event.target.elements.typed;
      if (meter() && meter().contains(event.target)) said = ++turns;
      if (typed) setTimeout(function () { typed.value = ""; });
    });
    document.addEventListener("htmx:beforeRequest", function (event) {
      if (event.target === meter()) asked = ++turns;
    });
    document.addEventListener("htmx:beforeSwap", function (event) {
      if (event.target === meter() && said > asked) event.detail.shouldSwap = false;
    });
    document.addEventListener("journal:shown", function () {
      said = ++turns;
      look();
      turn();
    });
    document.addEventListener("htmx:afterSettle", turn);
  }

  // On a phone the places stand behind a menu.
  document.addEventListener("click", function (event) {
    var menu = document.querySelector(".menu"), pressed = event.target.closest(".menu");
    if (!menu) return;
    var open = Boolean(pressed) && menu.getAttribute("aria-expanded") !== "true";
    menu.setAttribute("aria-expanded", String(open));
    menu.parentElement.classList.toggle("open", open);
  });

  // At the bench: the step before and after by arrow keys and by swiping, and a screen that stays awake.
  var bench = document.getElementById("bench");

  if (bench) {
    document.addEventListener("keydown", function (event) {
      if (event.target.closest("input, select, textarea")) return;
      if (event.key === "ArrowLeft") go(bench.dataset.previous);
      if (event.key === "ArrowRight") go(bench.dataset.next);
    });
    var touched = null;
    bench.addEventListener("touchstart", function (event) {
      touched = event.changedTouches[0].clientX;
    }, { passive: true });
    bench.addEventListener("touchend", function (event) {
      var by = event.changedTouches[0].clientX - touched;
      if (Math.abs(by) > 80) go(by > 0 ? bench.dataset.previous : bench.dataset.next);
    });
    var awake = function () {
      if (!navigator.wakeLock || document.visibilityState !== "visible") return;
      navigator.wakeLock.request("screen").catch(function () {});
    };
    document.addEventListener("visibilitychange", awake);
    awake();
  }

  // Where somebody's own curtain is touched, something is noted: in thousandths of its width and its length.
  document.addEventListener("click", function (event) {
    var ground = event.target.closest(".noting .ground"), form = document.getElementById("note-form");
    if (!ground || !form) return;
    var box = ground.getBoundingClientRect();
    form.elements.across.value = Math.round((event.clientX - box.left) / box.width * 1000);
    form.elements.down.value = Math.round((event.clientY - box.top) / box.height * 1000);
    form.elements.place.value = "touched";
    if (form.elements.curtain) form.elements.curtain.value = ground.dataset.curtain;
    form.elements.words.focus();
  });
  document.addEventListener("change", function (event) {
    var form = event.target.form;
    if (!form || form.id !== "note-form" || event.target.name !== "place") return;
    form.elements.across.value = form.elements.down.value = "";
  });

  // A flaw is told by touching the cloth where it begins, and moved by drawing it along; the form beside takes the
  // figures.
  function along(ground, event) {
    var svg = ground.ownerSVGElement, point = svg.createSVGPoint();
    point.x = event.clientX; point.y = event.clientY;
    var at = point.matrixTransform(svg.getScreenCTM().inverse());
    return Number(ground.dataset.from) + (at.x - Number(ground.getAttribute("x"))) * Number(ground.dataset.each);
  }

  function groundAt(box, event) {
    var under = document.elementsFromPoint(event.clientX, event.clientY).find(function (one) {
      return one.classList.contains("ground") && box.contains(one);
    });
    return under || box.querySelector(".ground");
  }

  var drawn = null;
  document.addEventListener("pointerdown", function (event) {
    var box = event.target.closest(".flawing"), flaw = event.target.closest(".flaw");
    if (!box) return;
    drawn = { box: box, flaw: flaw, from: along(groundAt(box, event), event) };
    if (flaw) event.preventDefault();
  });
  document.addEventListener("pointerup", function (event) {
    if (!drawn) return;
    var was = drawn, form = document.getElementById(was.box.dataset.flawForm);
    drawn = null;
    if (!form || !was.box.contains(event.target)) return;
    var to = along(groundAt(was.box, event), event);
    if (was.flaw) {
      if (Math.abs(to - was.from) < 3) return;
      form.elements.flaw.value = was.flaw.dataset.flaw;
      form.elements.from.value = Math.max(0, Math.round(Number(was.flaw.dataset.from) + to - was.from)) + " mm";
      form.elements.to.value = Math.max(1, Math.round(Number(was.flaw.dataset.to) + to - was.from)) + " mm";
      form.requestSubmit();
    } else {
      var ends = [was.from, to].sort(function (a, b) { return a - b; });
      form.elements.flaw.value = "";
      form.elements.from.value = Math.max(0, Math.round(ends[0])) + " mm";
      form.elements.to.value = Math.round(Math.max(ends[1], ends[0] + 20)) + " mm";
      form.elements.what.focus();
    }
  });

  // Reckon answers while somebody types. Each answer carries the figures that it was asked with: one to others than
  // those that stand there is let go. Until the answer to what stands there is in sight the old one is faint, and it is
  // asked for again where none comes. What was opened stays open.
  function figuresOf(form) { return new URLSearchParams(new FormData(form)).toString(); }
  var reckon = document.querySelector("[data-reckon]"), answered = reckon && shownFigures(), again = null;

  // What only tells from which figures the last answer came isn't one of them.
  function shownFigures() {
    var figures = new URLSearchParams(new FormData(reckon));
    Array.from(figures.keys()).filter(function (name) { return name.startsWith("was_"); })
      .forEach(function (name) { figures.delete(name); });
    return figures.toString();
  }

  function watch(wait) {
    var open = shownFigures() !== answered, answer = document.getElementById("answer");
    if (answer) answer.classList.toggle("stale", open);
    clearTimeout(again);
    if (open) again = setTimeout(function () { window.htmx.trigger(reckon, "again"); watch(4000); }, wait);
  }

  if (reckon) {
    reckon.addEventListener("input", function () { watch(2000); });
    reckon.addEventListener("change", function () { watch(2000); });
    document.addEventListener("htmx:beforeRequest", function (event) {
      if (event.target === reckon) event.detail.xhr.asked = shownFigures();
    });
    document.addEventListener("htmx:beforeSwap", function (event) {
      if (event.detail.xhr.asked === undefined) return;
      // Nor does anything change under what is on its way to be kept.
      var leaving = document.querySelector("[data-carries].on-its-way");
      if (leaving || shownFigures() !== event.detail.xhr.asked) { event.detail.shouldSwap = false; return; }
      if (!event.detail.shouldSwap) return;
      answered = event.detail.xhr.asked;
      // What is typed was answered: nothing is half filled in any more.
      Array.from(reckon.elements).forEach(function (field) {
        if (field.matches("input:not([type=radio])")) field.defaultValue = field.value;
      });
    });
    document.addEventListener("htmx:afterSettle", function () { watch(2000); });
  }
  // What is kept is what stands there now, answered or not.
  document.addEventListener("submit", function (event) {
    var carried = document.getElementById(event.target.dataset.carries);
    if (carried) event.target.elements.figures.value = figuresOf(carried);
  }, true);

  // What takes longer is asked for once the page is there, and again when it is about something else.
  function later() {
    document.querySelectorAll("[data-later]").forEach(function (place) {
      var about = place.getAttribute("hx-get"), before = place.about;
      place.about = about;
      if (before && before !== about) window.htmx.trigger(place, "later");
    });
  }
  later();
  document.addEventListener("journal:shown", later);
  document.addEventListener("htmx:afterSettle", later);

  // On a phone the working is folded away until it is asked for. Opened or folded by hand it stays so, whatever is
  // answered; where the page becomes wide, it is there again.
  var narrow = window.matchMedia("(max-width: 60rem)"), open = !narrow.matches;
  function fold() {
    document.querySelectorAll(".working details").forEach(function (working) { working.open = open; });
  }
  document.addEventListener("click", function (event) {
    var summary = event.target.closest(".working summary");
    if (summary) open = !summary.parentNode.open;
  });
  narrow.addEventListener("change", function () {
    open = !narrow.matches;
    fold();
  });
  fold();
  document.addEventListener("journal:shown", fold);
})();
