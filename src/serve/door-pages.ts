/** Letters that mean something in HTML, as they are written. */
const safe = (text: string) => text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

const STYLE = `:root{color-scheme:light}
body{margin:0;min-height:100vh;display:grid;place-items:center;background:#f6f3ec;color:#20262b;font:18px/1.5 system-ui,sans-serif}
main{width:min(460px,92vw);padding:24px 0}h1{font:600 28px/1.2 Georgia,serif;margin:0 0 16px;border-bottom:3px solid #2b3f70;padding-bottom:8px}
label{display:block;font-size:15px;margin:12px 0 4px;color:#4b5358}
input{box-sizing:border-box;width:100%;min-height:48px;font:inherit;padding:0 12px;border:1px solid #8a8371;border-radius:3px;background:#fffdf8}
button{margin-top:16px;width:100%;min-height:48px;font:600 18px system-ui,sans-serif;background:#2b3f70;color:#fff;border:0;border-radius:3px}
:focus-visible{outline:3px solid #2b3f70;outline-offset:2px}[role=alert]{color:#9b2c2c;font-weight:600}p{margin:12px 0 0}a{color:#2b3f70}
ol{padding-left:1.2em}li{margin:6px 0}code{font-size:15px;word-break:break-all}`;

const page = (title: string, body: string) => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${title} · Tidy Spool</title><style>${STYLE}</style></head><body><main><h1>${title}</h1>
${body}</main></body></html>`;

const alert = (problem: string) => (problem ? `<p role="alert">${safe(problem)}</p>` : '');

/** What a device has to be told so that it trusts the studio's own certificates. */
const trust = (certificate: boolean, fingerprint: string | null) =>
  certificate
    ? `<p>Does this device warn of the connection? <a href="/certificate">Fetch the studio’s certificate</a>, then open it:</p>
<ol><li>On a tablet or phone it is kept as a profile or a certificate; the settings ask whether it may be trusted for websites: say yes.</li>
<li>On a computer open it and lay it among the trusted authorities, or add it in the browser’s settings under certificates.</li>
<li>Then open this page again.</li></ol>
${fingerprint ? `<p>It is the right one when its fingerprint (SHA-256) reads as on the studio’s computer:<br><code>${safe(fingerprint)}</code></p>` : ''}`
    : '';

/** Where one signs in: by a passphrase alone while the owner is alone, else by name. */
export const signInPage = (p: {
  problem: string;
  named: boolean;
  name: string;
  certificate: boolean;
  fingerprint: string | null;
}) =>
  page(
    p.named ? 'Sign in' : 'Tidy Spool',
    `<form method="post" action="/sign-in">
${p.named ? `<label for="name">Your name in this studio</label><input id="name" name="name" autocomplete="username" required value="${safe(p.name)}" ${p.name ? '' : 'autofocus'}>` : ''}
<label for="words">${p.named ? 'Your passphrase' : 'The studio’s passphrase'}</label>
<input id="words" name="words" type="password" autocomplete="current-password" required ${p.named && !p.name ? '' : 'autofocus'}>
${alert(p.problem)}<button>Sign in</button></form>
${trust(p.certificate, p.fingerprint)}`,
  );

/** Where one who was invited sets her passphrase. */
export const invitedPage = (p: { name: string; does: string; problem: string }) =>
  page(
    `Welcome, ${safe(p.name)}`,
    `<p>You are invited to this studio: ${safe(p.does)}. Set a passphrase of your own, of 8 letters or more; from then on you sign in as “${safe(p.name)}”.</p>
<form method="post"><label for="words">Passphrase</label><input id="words" name="words" type="password" autocomplete="new-password" minlength="8" required autofocus>
<label for="again">The same again</label><input id="again" name="again" type="password" autocomplete="new-password" required>
${alert(p.problem)}<button>Come in</button></form>`,
  );

/** Where a device that read the code is let in. */
export const pairPage = (p: { name: string; certificate: boolean; fingerprint: string | null }) =>
  page(
    'Pair this device',
    `<p>This device becomes “${safe(p.name)}” of the studio. The code works once.</p>
<form method="post"><button>Pair it</button></form>
${trust(p.certificate, p.fingerprint)}`,
  );

/** A link that does not work any more, and what to do. */
export const gonePage = (words: string) =>
  page('This link does not work', `<p>${safe(words)}</p><p><a href="/sign-in">Sign in</a></p>`);
