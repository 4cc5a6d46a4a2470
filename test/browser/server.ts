// Starts the built server on a port and data folder of its own, the way a seller does, and stops it, gently or not.

import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';

/** Where the seeded demo shop lies. */
export const SEEDED = 'CHIRAL_SEEDED_DEMO';
export const DEMO_FILE = 'demo.sqlite';

/** Goes to an address and waits until the page there runs, not only shows. */
export async function open(page: Page, address: string): Promise<void> {
  await page.goto(address);
  await running(page);
}

export async function running(page: Page): Promise<void> {
  await expect(page.locator('html[data-running]')).toBeAttached();
  await wake(page);
}

/** What rests is fetched when a hand comes near. */
export async function wake(page: Page): Promise<void> {
  await page.mouse.move(640, 1);
  await page.mouse.move(640, 0);
  await expect(page.locator('html:not([data-at-rest])')).toBeAttached();
}

export class ShopServer {
  readonly data = mkdtempSync(join(tmpdir(), 'chiral-test-'));
  private process: ChildProcess | null = null;

  constructor(
    readonly port: number,
    private readonly demo: boolean,
  ) {}

  get address(): string {
    return `http://localhost:${this.port}`;
  }

  async start(): Promise<void> {
    this.copySeeded();
    const child = spawn('node', ['scripts/serve.mjs', ...(this.demo ? ['--demo'] : [])], {
      env: { ...process.env, PORT: String(this.port), CHIRAL_DATA: this.data },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.process = child;
    await new Promise<void>((resolve, reject) => {
      let said = '';
      const listen = (chunk: Buffer) => {
        said += chunk.toString();
        if (said.includes('open at')) resolve();
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.once('exit', () => reject(new Error(`The server ended: ${said}`)));
    });
  }

  /** The demo shop is seeded once for all (`seed-once.ts`). */
  private copySeeded(): void {
    const seeded = process.env[SEEDED];
    const file = join(this.data, DEMO_FILE);
    if (this.demo && seeded && !existsSync(file)) copyFileSync(seeded, file);
  }

  /** Stops as when the seller stops it: the one file is the shop then. */
  async stop(): Promise<void> {
    await this.end('SIGTERM');
  }

  /** Ends it at once, as a power cut would. */
  async kill(): Promise<void> {
    await this.end('SIGKILL');
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const child = this.process;
    if (!child) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
    this.process = null;
  }

  async remove(): Promise<void> {
    await this.kill();
    rmSync(this.data, { recursive: true, force: true });
  }
}

/** What takes long to work out comes only once it is scrolled near to. */
export async function scrollFarDown(page: Page): Promise<void> {
  await page.locator('.not-seen-yet').first().scrollIntoViewIfNeeded();
}
