import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT, StepFailed } from './run.mjs';

/** The built server in a process of its own, which can be killed. @param port - 0 for any */
export async function startServer(folder, port = 0) {
  const child = spawn(process.execPath, [join(ROOT, 'apps/server/bundle/main.js')], {
    env: { ...process.env, PORT: String(port), STILL_HERON_DATA: folder, STILL_HERON_BACKUPS: 'off' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const address = await new Promise((found, failed) => {
    child.stdout.setEncoding('utf8').on('data', (text) => {
      const match = /http:\/\/127\.0\.0\.1:\d+/.exec(text);
      if (match) found(match[0]);
    });
    child.once('exit', (code) => failed(new StepFailed(`The server did not start: exit ${code}.`)));
  });
  return {
    address,
    async call(method, path, body) {
      const response = await fetch(`${address}/api/${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
      if (!response.ok) throw new Error(`${method} ${path}: ${response.status}`);
      return response.json();
    },
    kill: () =>
      new Promise((ended) => {
        child.once('exit', ended);
        child.kill('SIGKILL');
      }),
  };
}
