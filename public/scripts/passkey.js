// Passkeys: a form that says what it wants of the browser (data-passkey) and with which options, gets the answer of the
// device before it is sent. On the sign-in page the browser offers passkeys in the e-mail field too (data-fill).

const decode = (text) => Uint8Array.from(atob(text.replace(/-/g, "+").replace(/_/g, "/")), (sign) => sign.charCodeAt(0));
const encode = (buffer) => btoa(String.fromCharCode(...new Uint8Array(buffer)))
  .replace(/\+/g, "-").replace(/\//g, "_").replace(/=/g, "");

const PARTS = ["attestationObject", "authenticatorData", "clientDataJSON", "signature", "userHandle"];

// What the device said, in a form that can be sent.
function plain(credential) {
  const id = encode(credential.rawId);
  const response = {};
  for (const part of PARTS) {
    if (credential.response[part]) response[part] = encode(credential.response[part]);
  }
  return JSON.stringify({ type: credential.type, id, rawId: id, response });
}

function options(form) {
  const wanted = JSON.parse(form.dataset.options);
  wanted.challenge = decode(wanted.challenge);
  if (wanted.user) wanted.user.id = decode(wanted.user.id);
  for (const list of [wanted.allowCredentials, wanted.excludeCredentials]) {
    for (const known of list || []) known.id = decode(known.id);
  }
  return wanted;
}

function send(form, credential) {
  form.querySelector("[data-answer]").value = plain(credential);
  HTMLFormElement.prototype.submit.call(form);
}

const WORDS = {
  NotAllowedError: "Nothing was chosen, or it took too long. Try again.",
  InvalidStateError: "This device has a passkey for you already.",
  SecurityError: "This browser takes no passkeys at this address.",
};

function tell(form, error) {
  const place = form.querySelector("[data-problem]");
  place.textContent = WORDS[error.name] || "The device did not answer as it should. Try again.";
  place.hidden = false;
}

let filling = new AbortController();

async function ask(form) {
  filling.abort();
  try {
    const kind = form.dataset.passkey;
    send(form, await navigator.credentials[kind]({ publicKey: options(form) }));
  } catch (error) {
    tell(form, error);
  }
}

// Waits, out of sight, until somebody chooses a passkey in the e-mail field.
async function fill(form) {
  if (!await window.PublicKeyCredential.isConditionalMediationAvailable?.()) return;

  try {
    send(form, await navigator.credentials.get({
      mediation: "conditional", signal: filling.signal, publicKey: options(form),
    }));
  } catch (error) {
    if (error.name !== "AbortError") filling = new AbortController();
  }
}

for (const form of document.querySelectorAll("[data-passkey]")) {
  form.addEventListener("submit", (event) => {
    event.preventDefault();
    if (window.PublicKeyCredential) ask(form);
    else tell(form, { name: "SecurityError" });
  });
  if (form.matches("[data-fill]") && window.PublicKeyCredential) fill(form);
}
