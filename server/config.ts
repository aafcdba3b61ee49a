import path from 'node:path';

export interface Config {
  readonly host: string;
  readonly port: number;
  /** Folder that holds everything this server stores. */
  readonly dataFolder: string;
  /** The owner's own workshop, or the demo one; each has a store of its own in the data folder. */
  readonly workshop: 'own' | 'demo';
  readonly webFolder: string;
}

export const DEFAULT_PORT = 4810;

/** Reads the environment. @throws with a plain sentence when a setting cannot be used */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[], root: string): Config {
  const port = env['PORT'] === undefined || env['PORT'] === '' ? DEFAULT_PORT : Number(env['PORT']);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT must be a whole number from 0 to 65535; “${env['PORT']}” is not.`);
  }
  return {
    host: env['HOST'] || '127.0.0.1',
    port,
    dataFolder: path.resolve(root, env['VUELTA_DATA'] || 'data'),
    workshop: args.includes('--demo') ? 'demo' : 'own',
    webFolder: path.resolve(root, 'dist/web'),
  };
}

export const storeFile = (config: Pick<Config, 'dataFolder' | 'workshop'>): string =>
  path.join(config.dataFolder, config.workshop === 'demo' ? 'demo.sqlite' : 'workshop.sqlite');
