import http from 'node:http';
import https from 'node:https';
import { createProxyServer } from 'httpxy';
import { Stop } from '../stop';
import type { Secured } from './authority';
import { welcome } from './welcome';

export interface Lan {
  stop(): Promise<void>;
}

const listening = (server: http.Server | https.Server, host: string, port: number): Promise<void> =>
  new Promise((done, failed) => {
    server.once('error', (error: NodeJS.ErrnoException) =>
      failed(error.code === 'EADDRINUSE' ? new Stop(`Port ${port} is taken by another program.`) : error),
    );
    server.listen(port, host, done);
  });

const closed = (server: http.Server | https.Server): Promise<void> =>
  new Promise((done) => {
    server.close(() => done());
    server.closeAllConnections();
  });

/**
 * Serves the application, which itself listens on loopback alone, to the kitchen's own network by https; and beside it, by plain
 * http, nothing but the page that puts the house's authority on a tablet.
 * @param inside port of the application on loopback
 */
export async function serveLan(
  { host, port, secured, address }: { host: string; port: number; secured: Secured; address: string },
  inside: number,
): Promise<Lan> {
  // Long answers stay open: the scale on the bench speaks for as long as somebody listens.
  const proxy = createProxyServer({ target: `http://127.0.0.1:${inside}`, xfwd: true });
  proxy.on('error', (_error, _request, answer) => {
    if (answer instanceof http.ServerResponse && !answer.headersSent) {
      answer.writeHead(502, { 'content-type': 'text/plain; charset=utf-8', 'retry-after': '2' });
      answer.end('Half Pot is starting again: one moment.\n');
    }
  });
  let secure: https.Server;
  try {
    secure = https.createServer(
      { cert: secured.cert, key: secured.key, minVersion: 'TLSv1.2' },
      (request, answer) => {
        // Nobody says for himself where he comes from.
        for (const name of ['x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'forwarded'])
          delete request.headers[name];
        void proxy.web(request, answer).catch(() => undefined);
      },
    );
  } catch {
    throw new Stop('The key does not fit the certificate.');
  }
  await listening(secure, host, port);
  const { authority } = secured;
  const plain = authority && http.createServer(welcome(authority, address));
  if (plain) await listening(plain, host, port + 1);
  return {
    async stop() {
      await Promise.all([closed(secure), plain && closed(plain)]);
    },
  };
}
