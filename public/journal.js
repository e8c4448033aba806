// The journal: what was typed and said here is kept, in order, until the house has taken it. One thing is sent at a
// time, each under a key of its own, so that it is done once however often it has to be sent. An answer never touches
// a field that has something in the journal, or the cursor in it.
(function () {
  "use strict";

  // Each entry lies under a name of its own, in the order of time: tabs that write at the same moment don't write over
  // each other.
  var SHELF = "earnest-fold-journal:", ASIDE = "earnest-fold-unreadable:";
  var HOLD = 3000, MARKED_AFTER = 1000, LONGEST_PAUSE = 10000, MOST_FAULTS = 5;
  // How long an answer may take, and the first pause before something is sent again, in milliseconds.
  var house = Object.assign(window.EarnestFold, { patience: 30000, shortest: 500 });
  var half = house.half, told = house.told;
  var box = document.getElementById("journal");
  var memory = null, sending = false, pause = 0, timer = null, carried = false, leaving = false, known = [], count = 0;
  // This page as it was loaded: a fresh one shows nothing of what was refused on another.
  var THIS = newKey();
  // Where to was said what the house has taken since the page was last shown.
  var formsTaken = [];

  // Keeping

  function wellMade(entry) {
    if (!entry) return false;
    var texts = [entry.key, entry.to, entry.page].every(function (text) { return typeof text === "string"; });
    return texts && Array.isArray(entry.fields) && Array.isArray(entry.saw);
  }

  function parsed(text) {
    try { return JSON.parse(text); } catch (broken) { return null; }
  }

  // What can't be read is set aside, never thrown away; the rest goes on.
  function setAside(name, text) {
    try {
      localStorage.removeItem(name);
      localStorage.setItem(ASIDE + name.slice(SHELF.length), text);
    } catch (full) { return; }
    tell("unreadable");
  }

  function names() {
    return Object.keys(localStorage).filter(function (name) { return name.startsWith(SHELF); }).sort();
  }

  // @return what waits, and what was refused, in the order in which it was typed and said
  function read() {
    if (memory) return memory;
    var list = [];
    try {
      names().forEach(function (name) { list.push([name, localStorage.getItem(name)]); });
    } catch (closed) {
      memory = [];
      return memory;
    }
    return list.map(function (pair) {
      var entry = parsed(pair[1]);
      if (!wellMade(entry)) { setAside(pair[0], pair[1]); return null; }
      entry.name = pair[0];
      return entry;
    }).filter(Boolean).filter(mine);
  }

  // What one person typed on this device waits for that person: nobody else sends it in their own name.
  function whose() { return document.body.dataset.whose || ""; }

  function mine(entry) { return entry.whose === undefined || entry.whose === whose(); }

  function nextName(key) {
    count += 1;
    return SHELF + [String(Date.now()).padStart(15, "0"), String(count).padStart(6, "0"), key].join("-");
  }

  function without(entry) { return memory.filter(function (other) { return other.name !== entry.name; }); }

  function inOrder(list) {
    return list.sort(function (one, other) { return one.name < other.name ? -1 : 1; });
  }

  // Where the browser keeps nothing, it is kept as long as the page is open, and leaving it is asked about.
  function put(entry) {
    if (!entry.name) { entry.name = nextName(entry.key); entry.whose = whose(); }
    if (!memory) {
      try { localStorage.setItem(entry.name, JSON.stringify(entry)); } catch (full) { memory = read(); tell("unkept"); }
    }
    if (memory) memory = inOrder(without(entry).concat([entry]));
    written();
  }

  function remove(key) {
    read().filter(function (entry) { return entry.key === key; }).forEach(function (entry) {
      if (memory) memory = without(entry);
      try { localStorage.removeItem(entry.name); } catch (closed) { return; }
    });
    written();
  }

  function written() {
    known = read();
    mark();
  }

  function waiting() { return read().filter(isWaiting); }

  function change(key, done) {
    read().filter(function (entry) { return entry.key === key; }).forEach(function (entry) { put(done(entry)); });
  }

  function newKey() {
    if (window.crypto && crypto.randomUUID) return crypto.randomUUID();
    var bytes = crypto.getRandomValues(new Uint8Array(16));
    return Array.from(bytes, function (byte) { return byte.toString(16).padStart(2, "0"); }).join("");
  }

  function here() { return location.pathname; }

  function address() { return location.pathname + location.search; }

  // Fields

  function controls(name, within) {
    var all = (within || document).querySelectorAll("form[data-edits] [name], form[data-fields] [name]");
    return Array.from(all).filter(function (control) {
      return control.name === name && !control.matches("button, [type=hidden]");
    });
  }

  // @return the entries of this page about a field
  function about(path) {
    return read().filter(function (entry) { return entry.path === path && entry.page === here(); });
  }

  function isRefused(entry) { return entry.state === "refused"; }

  function isWaiting(entry) { return !isRefused(entry); }

  // @return whether this page tells at its place why it was refused
  function isTold(entry) { return entry.shown === THIS && entry.page === here(); }

  // What stood in a field when somebody began to change it: what this page last sent, what the store has, or what was
  // shown.
  function seen(control) {
    var mine = about(control.name).filter(isWaiting).pop();
    if (mine) return mine.value;
    if (control.dataset.seen !== undefined) return control.dataset.seen;
    if (control.dataset.now !== undefined) return control.dataset.now;
    return half.shownAtFirst(control);
  }

  function labelOf(control) {
    var label = control.labels && control.labels[0];
    return label ? label.textContent.trim() : control.getAttribute("aria-label") || control.name;
  }

  // What goes with an edit: the unit the page is shown in, which part is looked at, and which state of it all the page
  // shows.
  function beside(form) {
    var there = ["unit", "part", "version"].filter(function (name) { return form.elements[name]; });
    return there.map(function (name) { return [name, form.elements[name].value]; });
  }

  function edit(control) {
    var form = control.form, before = seen(control), value = control.value, again = forgetRefused(control.name);
    if (value === before) {
      if (again) refresh();
      return;
    }
    var last = read().pop();
    // The same field again, and the edit before it hasn't gone out yet: it becomes this one.
    if (last && last.path === control.name && last.page === here() && !last.out) {
      last.value = value;
      last.fields = [[control.name, value]].concat(beside(form));
      put(last);
    } else {
      put({ key: newKey(), to: form.action, page: here(), path: control.name, label: labelOf(control), value: value,
        saw: [[control.name, before]], fields: [[control.name, value]].concat(beside(form)),
        at: Date.now(), tries: 0 });
    }
    send();
  }

  // @return the field that a button stands for
  function meant(button) {
    return /^(take_reading|back_to_rule)$/.test(button.name) ? button.value.split(" ").pop() : button.name;
  }

  // Something else is said of a field than what was refused.
  // @return whether anything had been
  function forgetRefused(path) {
    var gone = about(path).filter(isRefused);
    gone.forEach(function (entry) { remove(entry.key); });
    controls(path).forEach(told.lift);
    document.querySelectorAll(".both[data-told]").forEach(function (both) {
      var row = both.querySelector('[name="' + path + '"]');
      if (row) told.settle(row);
    });
    return gone.length > 0;
  }

  function dirty(form) {
    return Array.from(form.elements).filter(function (control) {
      if (!control.name || control.matches("button, [type=hidden], [type=file]")) return false;
      return control.value !== seen(control);
    });
  }

  document.addEventListener("change", function (event) {
    if (event.target.name && half.isEdit(event.target)) edit(event.target);
  });

  // A button that stands for a figure: half a width more, a count, back to the house's rule.
  document.addEventListener("click", function (event) {
    var button = event.target.closest("form[data-edits] button[type=button][name]");
    if (!button) return;
    var form = button.form;
    var label = button.getAttribute("aria-label") || button.textContent.trim();
    forgetRefused(meant(button));
    put({ key: newKey(), to: form.action, page: here(), label: label, saw: [],
      fields: [[button.name, button.value]].concat(beside(form)), at: Date.now(), tries: 0 });
    send();
  });

  // Whatever stands half typed when the page is left goes into the journal too.
  window.addEventListener("pagehide", function () {
    var active = document.activeElement;
    if (active && active.name && active.matches("input, textarea") && half.isEdit(active)) edit(active);
  });

  // A page out of the browser's own memory has keys that were used.
  window.addEventListener("pageshow", function (event) {
    var keys = event.persisted ? document.querySelectorAll("[name=once]") : [];
    keys.forEach(function (field) { field.value = newKey(); });
    mark();
    send();
  });

  // What is said by a form: a tick, a measure, something new.
  document.addEventListener("submit", function (event) {
    var form = event.target;
    if (form.method !== "post" || form.enctype === "multipart/form-data") return;
    if (form.matches("[data-plain]") || event.defaultPrevented) return;
    event.preventDefault();
    if (form.matches("[data-edits]")) { dirty(form).forEach(edit); return; }
    say(form, event.submitter);
    told.lift(form);
    told.settle(form);
  });

  // What was sent before it may have made another state of it all: what is said of "this state" is said of the one that
  // is shown by then.
  function asShown(entry) {
    var form = entry.said && entry.address === address() && formFor(entry.to);
    if (!form) return entry.fields;
    return entry.fields.map(function (pair) {
      return pair[0] === "version" ? ["version", form.elements.version.value] : pair;
    });
  }

  function formFor(to) {
    return Array.from(document.forms).find(function (form) { return form.action === to && form.elements.version; });
  }

  function say(form, submitter) {
    var changed = form.matches("[data-fields]") ? dirty(form) : null;
    var typed = Array.from(new FormData(form)).filter(function (pair) {
      if (pair[0] === "authenticity_token" || pair[0] === "once" || typeof pair[1] !== "string") return false;
      if (!changed || isHidden(form, pair[0])) return true;
      return changed.some(function (control) { return control.name === pair[0]; });
    });
    var button = submitter && submitter.name ? [[submitter.name, submitter.value]] : [];
    var saw = (changed || []).map(function (control) { return [control.name, seen(control)]; });
    var key = form.elements.once ? form.elements.once.value : newKey();
    var to = (submitter && submitter.getAttribute("formaction") && submitter.formAction) || form.action;
    var entry = { key: key, to: to, page: here(), address: address(), said: true, label: words(form, submitter),
      saw: saw, fields: typed.concat(button), at: Date.now(), tries: 0 };
    // Clicked twice, it is said once.
    if (read().some(function (other) { return same(other, entry); })) return;
    form.classList.add("on-its-way");
    put(entry);
    send();
  }

  function same(one, other) {
    return one.key === other.key && JSON.stringify(one.fields) === JSON.stringify(other.fields);
  }

  function isHidden(form, name) {
    return Array.from(form.elements).some(function (control) {
      return control.name === name && control.type === "hidden";
    });
  }

  function words(form, submitter) {
    var typed = Array.from(form.elements).filter(function (control) {
      return control.matches("input:not([type=hidden]), textarea");
    });
    var values = typed.map(function (control) { return control.value; });
    return [submitter && submitter.textContent.trim()].concat(values).filter(Boolean).join(": ");
  }

  // Sending

  function lock(work) {
    return navigator.locks ? navigator.locks.request(SHELF, work) : work();
  }

  function send() {
    if (sending) return;
    sending = true;
    clearTimeout(timer);
    lock(drain).catch(function () { later(); }).then(function () {
      sending = false;
      mark();
      if (!waiting().length) drained();
      else if (!timer) send();
    });
  }

  async function drain() {
    timer = null;
    var entry;
    while ((entry = waiting()[0])) {
      change(entry.key, function (one) { one.out = true; return one; });
      if (!(await post(entry))) { later(); return; }
      pause = 0;
    }
  }

  function later() {
    pause = Math.min(LONGEST_PAUSE, pause ? pause * 2 : house.shortest);
    timer = setTimeout(function () { timer = null; send(); }, pause);
    mark();
  }

  function token() {
    var headers = parsed(document.body.getAttribute("hx-headers"));
    return (headers && headers["X-CSRF-Token"]) || "";
  }

  async function renewToken() {
    var page = await fetch(location.href, { credentials: "same-origin" });
    var headers = new DOMParser().parseFromString(await page.text(), "text/html").body.getAttribute("hx-headers");
    if (headers) document.body.setAttribute("hx-headers", headers);
  }

  function ask(entry) {
    var body = new URLSearchParams(asShown(entry)), stop = new AbortController();
    entry.saw.forEach(function (pair) { body.append("saw[" + pair[0] + "]", pair[1]); });
    body.append("once", entry.key);
    var alarm = setTimeout(function () { stop.abort(); }, house.patience);
    var headers = { "X-CSRF-Token": token(), "HX-Request": "true", "X-Journal": waiting().length > 1 ? "more" : "1" };
    return fetch(entry.to, { method: "POST", body: body, headers: headers, signal: stop.signal, redirect: "error",
      credentials: "same-origin" })
      .then(async function (answer) {
        return { status: answer.status, go: answer.headers.get("X-Go"), text: await answer.text() };
      })
      .finally(function () { clearTimeout(alarm); });
  }

  // @return whether it needs no more sending: taken, or refused and set aside
  async function post(entry) {
    var answer;
    try {
      answer = await ask(entry);
      if (answer.status === 403) { await renewToken(); answer = await ask(entry); }
    } catch (away) { return tried(entry, false); }
    var again = answer.status === 401 || answer.status === 403 || answer.status === 429 || answer.status >= 500;
    if (again) return tried(entry, answer.status === 500);
    if (answer.status < 300) taken(entry, answer);
    else await refused(entry, answer);
    return true;
  }

  // A fault of the house's own is tried again a few times; then the rest goes on without it.
  function tried(entry, fault) {
    var faults = (entry.faults || 0) + (fault ? 1 : 0);
    change(entry.key, function (one) { one.tries += 1; one.faults = faults; return one; });
    if (faults < MOST_FAULTS) return false;
    change(entry.key, function (one) { one.state = "refused"; one.status = 500; return one; });
    return true;
  }

  function taken(entry, answer) {
    remove(entry.key);
    if (entry.page !== here()) { carried = true; return; }
    if (entry.path) see(entry);
    else wholeFormTaken(entry);
    // Whoever is on the way to another page isn't led back.
    if (answer.go && entry.said && entry.address === address()) {
      if (!leaving) location.assign(answer.go);
      return;
    }
    carried = Boolean(answer.go) || answer.status === 204 || waiting().length > 0;
    if (!carried) show(answer.text);
  }

  // The house has it: what is typed next was changed from this.
  function see(entry) {
    controls(entry.path).forEach(function (control) { control.dataset.seen = entry.value; });
  }

  // What was sent with a form isn't half filled in any more.
  function wholeFormTaken(entry) {
    formsTaken.push(entry.to);
    Array.from(document.forms).filter(function (form) {
      return form.action === entry.to && (!form.elements.once || form.elements.once.value === entry.key);
    }).forEach(function (form) {
      Array.from(form.elements).filter(function (control) { return sentSo(entry, control); }).forEach(half.asShownNow);
    });
  }

  function sentSo(entry, control) {
    var sent = entry.fields.some(function (pair) { return pair[0] === control.name && pair[1] === control.value; });
    return half.isBox(control) ? sent === control.checked : sent;
  }

  // What can't be taken stays where it was typed, with what is wrong; what comes after it goes on.
  async function refused(entry, answer) {
    var says = (answer.status === 409 || answer.status === 422) && entry.page === here();
    var off = { state: "refused", status: answer.status, shown: says && THIS };
    change(entry.key, function (one) { return Object.assign(one, off); });
    // What was taken before it is shown first: afterwards it would sweep away what is told here.
    if (says && carried) { carried = false; await refresh(); }
    var shown = says && show(answer.text);
    if (shown) told.at(entry);
    if (shown && (answer.status === 409 || entry.said)) { remove(entry.key); return; }
    change(entry.key, function (one) { one.shown = shown && THIS; return one; });
    if (entry.path) afterAll(entry);
  }

  // The edit after a refused one saw what the field didn't become.
  function afterAll(entry) {
    read().forEach(function (other) {
      if (other.path !== entry.path || other.page !== entry.page || other.key === entry.key) return;
      if (other.saw[0][1] !== entry.value) return;
      other.saw = entry.saw;
      put(other);
    });
  }

  // Showing

  function kept(control) {
    if (!control.matches || !control.matches("input, select, textarea")) return false;
    if (control.type === "hidden") return sawKept(control) || half.pointedAt(control);
    return document.activeElement === control || half.filledIn(control) || about(control.name).some(isWaiting);
  }

  // What was seen in a field goes with what is typed in it, until that is taken.
  function sawKept(hidden) {
    var name = hidden.form && hidden.name.startsWith("saw[") && hidden.name.slice(4, -1);
    if (!name || formsTaken.includes(hidden.form.action)) return false;
    return Array.from(hidden.form.elements).some(function (control) {
      return control.name === name && control.type !== "hidden" && (kept(control) || control.closest("[data-told]"));
    });
  }

  function isSaid(node) { return node.nodeName === "FORM" && node.method === "post" && !node.matches("[data-edits]"); }

  // A form that has become one about something else has nothing in it of what was typed for the other.
  function begunAnew(form) {
    told.lift(form);
    if (form.contains(document.activeElement) && document.activeElement.name) document.activeElement.blur();
    Array.from(form.elements).forEach(function (control) { if (control.name) half.asShownNow(control); });
  }

  // What stands here just as it is isn't sent again.
  if (window.Idiomorph) {
    window.Idiomorph.defaults.callbacks.beforeNodeMorphed = function (old, fresh) {
      // What is asked for afterwards stands as it was until its new answer is there.
      if (old.id && old.id === fresh.id && fresh.dataset && "later" in fresh.dataset) fresh.innerHTML = old.innerHTML;
      // What a hand opened or folded stays so until the page thinks otherwise than it did before.
      if (old.nodeName === "DETAILS" && fresh.nodeName === "DETAILS" && old.dataset.open === fresh.dataset.open) {
        fresh.open = old.open;
      }
      if (isSaid(old) && isSaid(fresh) && half.subject(old) !== half.subject(fresh)) begunAnew(old);
      return !kept(old) && !told.stands(old, fresh) && !(fresh.dataset && "same" in fresh.dataset);
    };
    window.Idiomorph.defaults.callbacks.beforeNodeRemoved = function (old) {
      return !(told.here(old) && old.matches(".both"));
    };
  }

  // @return the field that is typed in, or the first that is in sight
  function inHand(place) {
    var active = document.activeElement;
    if (place.contains(active) && active.matches("input, select, textarea")) return active;
    return Array.from(place.querySelectorAll("input, select, textarea")).find(inSight);
  }

  function inSight(control) {
    var box = control.getBoundingClientRect();
    return box.height > 0 && box.top > 0 && box.bottom < window.innerHeight;
  }

  // Whatever comes or goes above the fields, they stay under the hand that reaches for them: the page is scrolled by as
  // much, and where it can't be, the room above them is kept.
  function holdStill(field, stood) {
    var main = document.getElementById("main");
    if (!field.isConnected || !main) return;
    window.scrollBy(0, field.getBoundingClientRect().top - stood);
    var short = stood - field.getBoundingClientRect().top;
    if (short > 0) main.style.paddingTop = parseFloat(getComputedStyle(main).paddingTop) + short + "px";
  }

  // @return whether there was a place for it here
  function show(text) {
    var fresh = new DOMParser().parseFromString(text, "text/html").body.firstElementChild;
    var place = fresh && fresh.id && document.getElementById(fresh.id);
    if (!place) return false;
    var field = inHand(place), stood = field && field.getBoundingClientRect().top;
    window.Idiomorph.morph(place, fresh, { morphStyle: "outerHTML" });
    formsTaken = [];
    if (window.htmx) window.htmx.process(document.getElementById(fresh.id));
    if (field) holdStill(field, stood);
    // Something that the house took to be here isn't: the whole page is asked for.
    if (document.querySelector("[data-same]")) refresh();
    document.dispatchEvent(new CustomEvent("journal:shown"));
    mark();
    return true;
  }

  async function refresh() {
    try {
      var answer = await fetch(location.href, { credentials: "same-origin", headers: { "HX-Request": "true" } });
      if (answer.ok) show(await answer.text());
    } catch (away) { return; }
  }

  function drained() {
    if (carried) { carried = false; refresh(); }
  }

  function tell(what) { if (box) { box.dataset.also = what; mark(); } }

  function isLate(entry) {
    return isWaiting(entry) && (entry.tries > 0 || Date.now() - entry.at > MARKED_AFTER);
  }

  function markField(control, entry) {
    var field = half.fieldOf(control);
    if (isWaiting(entry) || !isTold(entry)) {
      if (control.value !== entry.value && document.activeElement !== control) control.value = entry.value;
    }
    if (!isLate(entry) || field.querySelector(".unsent-mark")) return;
    half.noted(control, "unsent-mark", box.dataset.unsent);
    field.classList.add("unsent");
  }

  function line(text, button) {
    var item = document.createElement("p");
    item.textContent = text;
    if (button) item.append(" ", button);
    return item;
  }

  function letGo(entry) {
    var button = document.createElement("button");
    button.type = "button"; button.className = "link"; button.textContent = box.dataset.letGo;
    button.addEventListener("click", function () { remove(entry.key); refresh(); });
    return button;
  }

  function refusal(entry) {
    var said = box.dataset[entry.status === 413 ? "tooLarge" : entry.status >= 500 ? "fault" : "refused"];
    return line(said + " " + [entry.label, entry.value].filter(Boolean).join(": "), letGo(entry));
  }

  function mark() {
    if (!box) return;
    var list = read();
    half.mark();
    document.querySelectorAll(".unsent-mark").forEach(function (note) {
      note.parentElement.classList.remove("unsent");
      note.remove();
    });
    list.filter(function (entry) { return entry.path && entry.page === here(); }).forEach(function (entry) {
      controls(entry.path).forEach(function (control) { markField(control, entry); });
    });
    var late = list.filter(isLate);
    var off = list.filter(function (entry) { return isRefused(entry) && !isTold(entry); });
    var lines = off.map(refusal);
    var labels = late.map(function (entry) { return entry.label; });
    if (late.length) lines.unshift(line(box.dataset.kept + " " + labels.join(", ")));
    if (box.dataset.also) lines.push(line(box.dataset[box.dataset.also]));
    box.dataset.waiting = String(waiting().length);
    box.replaceChildren.apply(box, lines);
    box.hidden = !lines.length;
    if (!late.length && waiting().length) setTimeout(mark, MARKED_AFTER + 50);
  }

  // Leaving: links wait for what is on its way, a little; what isn't taken by then is carried to the next page.

  function settled() {
    if (!waiting().length) return Promise.resolve();
    send();
    return new Promise(function (done) {
      var since = Date.now();
      (function look() {
        if (!waiting().length || Date.now() - since > HOLD) done();
        else setTimeout(look, 20);
      })();
    });
  }

  function leave(address) {
    if (!address) return;
    if (!waiting().length) { location.assign(address); return; }
    leaving = true;
    document.body.classList.add("leaving");
    settled().then(function () { location.assign(address); });
  }

  function leavesHere(link) {
    if (link.origin !== location.origin || link.target || link.getAttribute("href").startsWith("#")) return false;
    return !link.hasAttribute("download") && !link.hasAttribute("hx-get");
  }

  document.addEventListener("click", function (event) {
    var link = event.target.closest("a[href]");
    if (!link || event.defaultPrevented || event.button) return;
    if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
    if (!leavesHere(link) || !waiting().length) return;
    event.preventDefault();
    leave(link.href);
  });

  // Another tab sends for this one too: what it brought through is seen here, and the page looks again.
  known = read();
  window.addEventListener("storage", function (event) {
    if (!event.key || !event.key.startsWith(SHELF)) return;
    var keys = read().map(function (entry) { return entry.key; });
    var gone = known.filter(function (entry) { return entry.page === here() && !keys.includes(entry.key); });
    known = read();
    gone.filter(function (entry) { return entry.path && isWaiting(entry); }).forEach(see);
    mark();
    if (gone.length && !waiting().length) refresh();
  });

  window.addEventListener("beforeunload", function (event) {
    if (memory && memory.length) event.preventDefault();
  });
  window.addEventListener("online", function () { pause = 0; send(); });
  document.addEventListener("visibilitychange", function () {
    if (document.visibilityState !== "visible" || !waiting().length) return;
    pause = 0;
    send();
  });

  house.leave = leave;
  carried = waiting().some(function (entry) { return entry.page === here(); });
  mark();
  if (waiting().length) send();
})();
