import { spawnSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensure, NEEDS } from '../debian';
import { Stop } from '../stop';

/** Days a house's authority is trusted for, and a certificate it has signed; browsers take none of more than 398. */
const AUTHORITY_DAYS = 3650;
const CERTIFICATE_DAYS = 397;
/** Days before its end at which a certificate is made again. */
const RENEW_DAYS = 30;
const DAY_MS = 24 * 60 * 60 * 1000;

export interface Secured {
  readonly cert: string;
  readonly key: string;
  /** What a tablet is given once; nothing where a certificate was brought that tablets trust already. */
  readonly authority?: { readonly pem: string; readonly fingerprint: string } | undefined;
}

function openssl(folder: string, args: readonly string[]): void {
  const done = spawnSync('openssl', args, { cwd: folder, encoding: 'utf8' });
  if (done.status !== 0)
    throw new Stop(
      `The certificate could not be made: ${done.stderr.trim().split('\n').slice(-2).join(' ')}`,
    );
}

const newKey = (folder: string, file: string): void => {
  openssl(folder, ['ecparam', '-name', 'prime256v1', '-genkey', '-noout', '-out', file]);
  fs.chmodSync(path.join(folder, file), 0o600);
};

/** The SHA-256 of a certificate in pairs, as tablets show it. */
export const fingerprintOf = (pem: string): string =>
  createHash('sha256')
    .update(new X509Certificate(pem).raw)
    .digest('hex')
    .toUpperCase()
    .replace(/(..)(?!$)/g, '$1:');

/** Whether a certificate is still good for every name it is wanted for. */
function holds(file: string, wanted: string): boolean {
  if (!fs.existsSync(file)) return false;
  const cert = new X509Certificate(fs.readFileSync(file));
  const left = new Date(cert.validTo).getTime() - Date.now();
  return (
    left > RENEW_DAYS * DAY_MS &&
    fs.existsSync(`${file}.for`) &&
    fs.readFileSync(`${file}.for`, 'utf8') === wanted
  );
}

/** The authority of the house: made once. */
function authorityIn(at: string): string {
  const file = path.join(at, 'authority.crt');
  if (!fs.existsSync(file)) {
    newKey(at, 'authority.key');
    const subject = `/CN=Half Pot of ${os.hostname().replace(/[^A-Za-z0-9.-]/g, '')}`;
    const args = [
      'req',
      '-x509',
      '-new',
      '-key',
      'authority.key',
      '-sha256',
      '-days',
      String(AUTHORITY_DAYS),
    ];
    const ca = ['-addext', 'basicConstraints=critical,CA:TRUE,pathlen:0'];
    const signs = ['-addext', 'keyUsage=critical,keyCertSign,cRLSign'];
    openssl(at, [...args, '-subj', subject, ...ca, ...signs, '-out', 'authority.part']);
    // It has its name when it is whole.
    fs.renameSync(path.join(at, 'authority.part'), file);
  }
  return fs.readFileSync(file, 'utf8');
}

/** A certificate for some names, signed by the authority. */
function sign(at: string, wanted: string): void {
  newKey(at, 'kitchen.key');
  const may = `subjectAltName=${wanted}\nextendedKeyUsage=serverAuth\nkeyUsage=digitalSignature\n`;
  fs.writeFileSync(path.join(at, 'kitchen.ext'), may);
  openssl(at, ['req', '-new', '-key', 'kitchen.key', '-subj', '/CN=Half Pot', '-out', 'kitchen.csr']);
  const by = [
    '-CA',
    'authority.crt',
    '-CAkey',
    'authority.key',
    '-CAcreateserial',
    '-extfile',
    'kitchen.ext',
  ];
  const lasts = ['-sha256', '-days', String(CERTIFICATE_DAYS)];
  openssl(at, ['x509', '-req', '-in', 'kitchen.csr', ...by, ...lasts, '-out', 'kitchen.crt']);
  fs.writeFileSync(path.join(at, 'kitchen.crt.for'), wanted);
}

/**
 * The house's own certificate for what it is reached by, signed by an authority that is made once and never leaves this machine.
 * It is made again when its names change or a month before it ends; tablets that trust the authority notice nothing.
 * @param folder of the kitchen's place
 */
export function houseCertificate(
  folder: string,
  { ips, names }: { readonly ips: readonly string[]; readonly names: readonly string[] },
): Secured {
  ensure(NEEDS.openssl);
  const at = path.join(folder, 'https');
  fs.mkdirSync(at, { recursive: true, mode: 0o700 });
  const pem = authorityIn(at);
  const wanted = [
    ...[...names, 'localhost'].map((n) => `DNS:${n}`),
    ...[...ips, '127.0.0.1'].map((ip) => `IP:${ip}`),
  ].join(',');
  const file = path.join(at, 'kitchen.crt');
  if (!holds(file, wanted)) sign(at, wanted);
  return {
    cert: fs.readFileSync(file, 'utf8'),
    key: fs.readFileSync(path.join(at, 'kitchen.key'), 'utf8'),
    authority: { pem, fingerprint: fingerprintOf(pem) },
  };
}

/** A certificate that was brought. @throws Stop where one of both is missing, cannot be read, does not fit or has ended */
export function broughtCertificate(cert: string | undefined, key: string | undefined): Secured {
  if (cert === undefined || key === undefined)
    throw new Stop(
      `--cert and --key go together: the ${cert === undefined ? 'certificate' : 'key'} is missing.`,
    );
  const read = (file: string): string => {
    const at = path.resolve(process.env.HALFPOT_FROM ?? '.', file);
    if (!fs.existsSync(at)) throw new Stop(`There is no file ${file}.`);
    return fs.readFileSync(at, 'utf8');
  };
  const [pem, secret] = [read(cert), read(key)];
  let x509: X509Certificate;
  try {
    x509 = new X509Certificate(pem);
  } catch {
    throw new Stop(`${cert} is not a certificate in PEM.`);
  }
  if (new Date(x509.validTo).getTime() < Date.now())
    throw new Stop(`The certificate ended on ${x509.validTo}: bring a newer one.`);
  return { cert: pem, key: secret };
}
