import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

/** The built server as a separate process with its own data folder. */
export class HeronServer {
  private child: ChildProcess | undefined;
  private readonly folder = mkdtempSync(join(tmpdir(), 'still-heron-e2e-'));
  private port = 0;

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts on a free port; after a stop, on the same one. */
  async start(env: NodeJS.ProcessEnv = {}): Promise<void> {
    const child = spawn(process.execPath, [resolve('apps/server/bundle/main.js')], {
      env: { ...process.env, STILL_HERON_BACKUPS: 'off', ...env, PORT: String(this.port), STILL_HERON_DATA: this.folder },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.port = await new Promise<number>((found, failed) => {
      child.stdout.setEncoding('utf8').on('data', (text: string) => {
        const match = /Still Heron is at http:\/\/127\.0\.0\.1:(\d+)/.exec(text);
        if (match) found(Number(match[1]));
      });
      child.once('exit', (code) => failed(new Error(`the server ended with ${code} before it was ready`)));
    });
  }

  async stop(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null) return;
    await new Promise<void>((ended) => {
      child.once('exit', () => ended());
      child.kill('SIGTERM');
    });
  }

  /** Like a power cut: no shutdown code runs. */
  async kill(): Promise<void> {
    const { child } = this;
    await new Promise<void>((ended) => {
      child!.once('exit', () => ended());
      child!.kill('SIGKILL');
    });
  }

  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
