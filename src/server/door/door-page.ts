/** On the way out: a link on another page must not send anybody out. */
export const leavePage = (): string =>
  framed('Leave Hobnail?', `<form method="post" action="/door/out"><button style="${BUTTON}">Leave</button></form>`);

const BUTTON = 'font:inherit;padding:8px 20px;border:0;border-radius:6px;background:#B8691B;color:#fff';

/** What stands at the door. @param hint beside the field; null: there is nothing to be said here */
export const doorPage = (what: string, hint: string | null): string => framed(what, asking(hint));

const framed = (what: string, inside: string): string => `<!doctype html><html lang="en">
<meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${what}</title>
<body style="margin:0;padding:48px;max-width:420px;font:16px/1.5 sans-serif;background:#F7F5F0;color:#17443F">
<h1 style="font:600 28px/1.2 serif">${what}</h1>
${inside}
</body></html>`;

const asking = (hint: string | null): string =>
  hint === null
    ? ''
    : `<form method="post" action="/door"><p><label>Passphrase<br>
<input type="password" name="passphrase" autofocus autocomplete="current-password" aria-describedby="hint"
 style="font:inherit;width:100%;box-sizing:border-box;padding:8px 10px;border:1px solid #17443F;border-radius:6px"></label></p>
<p id="hint" role="alert" style="color:#9B2743;min-height:1.5em">${hint}</p>
<button style="${BUTTON}">Come in</button></form>`;
