import { Agent, request } from 'node:http';

const AGENT = new Agent({ keepAlive: true, maxSockets: 32 });

/** One request over a pool of 32 kept connections, as a handful of browsers would hold them.
 *  @returns the status and the body; status 0 when the connection failed */
export function ask(
  address: string,
  path: string,
  body?: unknown,
): Promise<{ readonly status: number; readonly text: string }> {
  return new Promise((done) => {
    const asked = request(
      address + path,
      {
        agent: AGENT,
        method: body === undefined ? 'GET' : 'POST',
        headers: { 'Content-Type': 'application/json' },
      },
      (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part: Buffer) => {
          parts.push(part);
        });
        answer.on('end', () => {
          done({ status: answer.statusCode ?? 0, text: Buffer.concat(parts).toString() });
        });
        answer.on('error', () => {
          done({ status: 0, text: '' });
        });
      },
    );
    asked.on('error', () => {
      done({ status: 0, text: '' });
    });
    asked.end(body === undefined ? undefined : JSON.stringify(body));
  });
}
