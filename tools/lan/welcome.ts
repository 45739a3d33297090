import type { IncomingMessage, ServerResponse } from 'node:http';

const FILE = '/half-pot-authority.crt';

/** The page that puts the house's authority on a tablet, and the authority itself: all that is ever said by plain http. */
export const welcome =
  ({ pem, fingerprint }: { readonly pem: string; readonly fingerprint: string }, address: string) =>
  (request: IncomingMessage, answer: ServerResponse): void => {
    const headers = { 'cache-control': 'no-store', 'x-content-type-options': 'nosniff' };
    if (request.url === FILE) {
      answer.writeHead(200, { ...headers, 'content-type': 'application/x-x509-ca-cert' });
      answer.end(pem);
      return;
    }
    if (request.url !== '/') {
      answer.writeHead(302, { ...headers, location: '/' });
      answer.end();
      return;
    }
    answer.writeHead(200, {
      ...headers,
      'content-type': 'text/html; charset=utf-8',
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'",
    });
    answer.end(page(fingerprint, address));
  };

const page = (fingerprint: string, address: string): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
<title>Put this kitchen on a tablet · Half Pot</title>
<style>
body{font:1.05rem/1.5 sans-serif;background:#f8f5ed;color:#20272c;max-width:38rem;margin:6vh auto;padding:0 1rem}
h1{font:600 1.9rem/1.2 serif}h2{font-size:1.1rem;margin:1.6rem 0 .3rem}
a.go{display:inline-block;background:#8f4a1f;color:#fff;padding:.6rem 1rem;border-radius:2px;text-decoration:none}
code{font:600 .95rem/1.6 monospace;overflow-wrap:anywhere}li{margin:.25rem 0}
</style></head><body>
<h1>Put this kitchen on a tablet</h1>
<p>Once for each tablet or phone. From then on it trusts this kitchen's computer: what is typed travels secured, and its browser
lets the kitchen keep the screen awake, be opened without a connection and use the camera.</p>
<h2>1. Take the certificate</h2>
<p><a class="go" href="${FILE}">Take the certificate</a></p>
<h2>2. Say that this tablet trusts it</h2>
<ul>
<li><b>iPad, iPhone:</b> Settings, “Profile Downloaded”, Install. Then Settings, General, About, Certificate Trust Settings: turn
“Half Pot of …” on.</li>
<li><b>Android:</b> Settings, Security, Encryption and credentials, Install a certificate, CA certificate: choose the file.</li>
<li><b>A computer:</b> open the file and put it among the trusted authorities of the browser.</li>
</ul>
<p>Before you say yes, compare: its SHA-256 fingerprint is <br><code>${fingerprint}</code><br> and the command that started Half
Pot has printed the same.</p>
<h2>3. Open the kitchen</h2>
<p><a class="go" href="${address}">${address}</a></p>
</body></html>
`;
