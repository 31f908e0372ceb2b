import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Express } from 'express';

const DEFAULT_PORT = 4310;
/** Ports tried after a taken one. */
const TRIES = 20;

const isTaken = (error: unknown) => (error as NodeJS.ErrnoException).code === 'EADDRINUSE';

function listenAt(app: Express, port: number, host: string): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error?: Error) =>
      error ? reject(error) : resolve(server),
    );
    server.once('error', reject);
  });
}

const LOOPBACK = '127.0.0.1';
/** What "localhost" means as well, where the machine has IPv6. */
const LOOPBACK_6 = '::1';

/** Listens for this machine alone, unless another `host` is named. */
async function listenOn(app: Express, port: number, host: string | undefined): Promise<Server> {
  const server = await listenAt(app, port, host ?? LOOPBACK);
  if (host !== undefined) return server;
  const { port: given } = server.address() as AddressInfo;
  try {
    const other = await listenAt(app, given, LOOPBACK_6);
    server.once('close', () => other.close());
  } catch (error) {
    // Without IPv6 the first address is enough.
    if (!isTaken(error)) return server;
    server.close();
    throw error;
  }
  return server;
}

/**
 * Listens on the port that was asked for. When that is taken: a port that the person named is an
 * error, the usual one gives way to the next free one. Only this machine is listened to, unless
 * `host` says otherwise.
 */
export async function listen(
  app: Express,
  named: string | undefined,
  host?: string,
): Promise<{ server: Server; port: number; note: string }> {
  if (named !== undefined) {
    const port = Number(named);
    if (!Number.isInteger(port) || port < 0 || port > 65_535)
      throw new Error(`PORT is “${named}”, which is not a port number (0 to 65535).`);
    try {
      const server = await listenOn(app, port, host);
      return { server, port, note: '' };
    } catch (error) {
      if (!isTaken(error)) throw error;
      throw new Error(`Port ${port} is taken by another program. Set PORT to a free one.`, {
        cause: error,
      });
    }
  }
  for (let port = DEFAULT_PORT; port < DEFAULT_PORT + TRIES; port++) {
    try {
      const server = await listenOn(app, port, host);
      const note =
        port === DEFAULT_PORT ? '' : `Port ${DEFAULT_PORT} is taken, so this is on ${port}.`;
      return { server, port, note };
    } catch (error) {
      if (!isTaken(error)) throw error;
    }
  }
  throw new Error(
    `Ports ${DEFAULT_PORT} to ${DEFAULT_PORT + TRIES - 1} are all taken. Set PORT to a free one.`,
  );
}
