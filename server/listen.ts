import type { Server } from 'node:http';
import type { Express } from 'express';

const DEFAULT_PORT = 4310;
/** Ports tried after a taken one. */
const TRIES = 20;

function listenOn(app: Express, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, (error?: Error) => (error ? reject(error) : resolve(server)));
    server.once('error', reject);
  });
}

const isTaken = (error: unknown) => (error as NodeJS.ErrnoException).code === 'EADDRINUSE';

/**
 * Listens on the port that was asked for. When that is taken: a port that the person named is an
 * error, the usual one gives way to the next free one.
 */
export async function listen(
  app: Express,
  named: string | undefined,
): Promise<{ server: Server; port: number; note: string }> {
  if (named !== undefined) {
    const port = Number(named);
    if (!Number.isInteger(port) || port < 0 || port > 65_535)
      throw new Error(`PORT is “${named}”, which is not a port number (0 to 65535).`);
    try {
      const server = await listenOn(app, port);
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
      const server = await listenOn(app, port);
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
