// A key (passkey) is asked for by the browser; what it answers goes with the form.
(function () {
  "use strict";

  var form = document.querySelector("form[data-key]");
  if (!form) return;

  var answer = form.querySelector("[data-answer]");

  function text(bytes) {
    var plain = btoa(String.fromCharCode.apply(null, new Uint8Array(bytes)));
    return plain.replace(/\+/g, "-").replace(/\//g, "_").replace(/=/g, "");
  }

  function bytes(of) {
    return Uint8Array.from(atob(of.replace(/-/g, "+").replace(/_/g, "/")), function (c) { return c.charCodeAt(0); });
  }

  function fault() {
    if (form.querySelector(".problem")) return;
    var told = document.createElement("p");
    told.className = "problem";
    told.setAttribute("role", "alert");
    told.textContent = form.dataset.fault;
    form.prepend(told);
  }

  function known(list) {
    (list || []).forEach(function (one) { one.id = bytes(one.id); });
  }

  function made(options) {
    options.user.id = bytes(options.user.id);
    known(options.excludeCredentials);
    return navigator.credentials.create({ publicKey: options }).then(function (key) {
      return said(key, { attestationObject: text(key.response.attestationObject) });
    });
  }

  function shown(options) {
    known(options.allowCredentials);
    return navigator.credentials.get({ publicKey: options }).then(function (key) {
      return said(key, {
        authenticatorData: text(key.response.authenticatorData),
        signature: text(key.response.signature),
        userHandle: key.response.userHandle ? text(key.response.userHandle) : null
      });
    });
  }

  function said(key, response) {
    response.clientDataJSON = text(key.response.clientDataJSON);
    return { type: key.type, id: text(key.rawId), rawId: text(key.rawId), response: response };
  }

  form.addEventListener("submit", function (event) {
    if (answer.value) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    var options = JSON.parse(form.dataset.options);
    options.challenge = bytes(options.challenge);
    if (!navigator.credentials) { fault(); return; }
    (form.dataset.key === "webauthn-setup" ? made : shown)(options).then(function (told) {
      answer.value = JSON.stringify(told);
      form.submit();
    }).catch(fault);
  }, true);
})();
