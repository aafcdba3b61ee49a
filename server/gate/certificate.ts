import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createSecureContext } from 'node:tls';

/** The owner's, for HTTPS. */
export interface Certificate {
  readonly cert: Buffer;
  readonly key: Buffer;
  /** Whole names it vouches for, which other devices ask by. */
  readonly names: readonly string[];
  /** Does it vouch for this name? */
  vouchesFor(name: string): boolean;
}

/** `DNS:shop.example, DNS:*.shop.example, IP Address:192.0.2.7` → the whole names. */
const namesIn = (subjectAltName: string | undefined): string[] =>
  [...(subjectAltName ?? '').matchAll(/DNS:([^\s,"]+)/g)]
    .map(([, name]) => name!.toLowerCase())
    .filter((name) => name !== 'localhost' && !name.startsWith('*'));

/**
 * @param files of the certificate and its key, in PEM form; null for plain HTTP
 * @throws a plain sentence where it cannot be read, or is not that of its key
 */
export function readCertificate(
  files: { readonly cert: string; readonly key: string } | null,
): Certificate | null {
  if (!files) return null;
  try {
    const [cert, key] = [readFileSync(files.cert), readFileSync(files.key)];
    createSecureContext({ cert, key });
    const read = new X509Certificate(cert);
    return {
      cert,
      key,
      names: namesIn(read.subjectAltName),
      vouchesFor: (name) => read.checkHost(name) !== undefined,
    };
  } catch (error) {
    throw new Error(
      `The certificate ${files.cert} with the key ${files.key} cannot be used: ${(error as Error).message}. Both are files in PEM form, and belong together.`,
      { cause: error },
    );
  }
}
