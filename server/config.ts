import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { CopyRule } from './keeping/index.ts';

export interface Config {
  readonly host: string;
  readonly port: number;
  /** Folder that holds everything this server stores. */
  readonly dataFolder: string;
  /** The owner's own workshop, or the demo one; each has a store of its own in the data folder. */
  readonly workshop: 'own' | 'demo';
  readonly webFolder: string;
  /** Of this Vuelta. */
  readonly version: string;
  /** Copies that the server makes of the store by itself. */
  readonly copies: CopyRule;
  /** Files of the owner's certificate and its key, in PEM; null for plain HTTP. */
  readonly certificate: { readonly cert: string; readonly key: string } | null;
  /** Take the newest sound copy in place of what stands there. */
  readonly takeCopy: boolean;
}

export const DEFAULT_PORT = 4810;

function versionIn(root: string): string {
  const file = path.join(root, 'package.json');
  if (!existsSync(file)) return '';
  return (JSON.parse(readFileSync(file, 'utf8')) as { version?: string }).version ?? '';
}

/** Reads the environment. @throws with a plain sentence when a setting cannot be used */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[], root: string): Config {
  const whole = (name: string, least: number, most: number, usual: number): number => {
    const given = env[name];
    const value = given === undefined || given === '' ? usual : Number(given);
    if (Number.isInteger(value) && value >= least && value <= most) return value;
    throw new Error(`${name} must be a whole number from ${least} to ${most}; “${given}” is not.`);
  };
  const port = whole('PORT', 0, 65_535, DEFAULT_PORT);
  const [cert, key] = [env['VUELTA_CERT'], env['VUELTA_KEY']];
  if (!cert !== !key)
    throw new Error(
      `${cert ? 'VUELTA_KEY' : 'VUELTA_CERT'} is missing: a certificate and its key are given together.`,
    );
  return {
    host: env['HOST'] || '127.0.0.1',
    port,
    dataFolder: path.resolve(root, env['VUELTA_DATA'] || 'data'),
    workshop: args.includes('--demo') ? 'demo' : 'own',
    webFolder: path.resolve(root, 'dist/web'),
    version: versionIn(root),
    copies: { keep: whole('VUELTA_COPIES', 0, 1000, 14), hours: whole('VUELTA_COPY_HOURS', 1, 8760, 24) },
    certificate: cert && key ? { cert: path.resolve(root, cert), key: path.resolve(root, key) } : null,
    takeCopy: args.includes('--take-copy'),
  };
}

export const storeFile = (config: Pick<Config, 'dataFolder' | 'workshop'>): string =>
  path.join(config.dataFolder, config.workshop === 'demo' ? 'demo.sqlite' : 'workshop.sqlite');
