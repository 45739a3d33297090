import type http from 'node:http';

export interface StandIn {
  readonly port: number;
  stop(): Promise<void>;
}

/** Lets a server listen on loopback; ready once it does. Stopping it ends what is still being said. */
export function listen(server: http.Server, port: number): Promise<StandIn> {
  return new Promise((ready, fail) => {
    server.once('error', fail);
    server.listen(port, '127.0.0.1', () => {
      const at = server.address();
      ready({
        port: typeof at === 'object' && at ? at.port : port,
        stop: () =>
          new Promise((done) => {
            server.closeAllConnections();
            server.close(() => done());
          }),
      });
    });
  });
}
