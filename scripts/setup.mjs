import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = path.dirname(path.dirname(fileURLToPath(import.meta.url)));

/** Expo works without asking any host for anything. */
const OFFLINE = { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', BROWSER: 'none' };

/** Runs a program in the project's folder; its exit code. */
export function run(command, args, { env = {}, quiet = false } = {}) {
  const result = spawnSync(command, args, {
    cwd: ROOT,
    stdio: quiet ? ['ignore', 'ignore', 'inherit'] : 'inherit',
    env: { ...process.env, ...env },
  });
  if (result.error) throw result.error;
  return result.status ?? 1;
}

/** Runs several programs beside each other, each with its output in one piece; the names of those that failed. */
export async function runBeside(programs) {
  const codes = await Promise.all(
    programs.map(
      ([name, command, args]) =>
        new Promise((resolve, reject) => {
          const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
          const output = [];
          child.stdout.on('data', (data) => output.push(data));
          child.stderr.on('data', (data) => output.push(data));
          child.on('error', reject);
          child.on('close', (code) => {
            if (code !== 0) process.stdout.write(output.join(''));
            resolve([name, code]);
          });
        }),
    ),
  );
  return codes.flatMap(([name, code]) => (code === 0 ? [] : [name]));
}

/** Runs a program and stops everything with its message when it fails. */
export function must(what, command, args, options) {
  if (run(command, args, options) !== 0) {
    console.error(`${what} failed.`);
    process.exit(1);
  }
}

/** A port that nothing listens on. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });

const hashOf = (text) => createHash('sha256').update(text).digest('hex');

/** Installs the packages of the lockfile when they are not there, or are not those of the lockfile. */
export function ensurePackages() {
  const lock = hashOf(readFileSync(path.join(ROOT, 'package-lock.json')));
  const stamp = path.join(ROOT, 'node_modules', '.lock-installed');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages …');
  must('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(stamp, lock);
}

const SOURCES = [
  'index.ts',
  'app',
  'src',
  'demo',
  'public',
  'app.json',
  'metro.config.js',
  'babel.config.js',
  'scripts/pack.mjs',
  'scripts/offline.mjs',
  'scripts/compress.mjs',
  'package-lock.json',
];
const isSource = (name) => !/\.test\.tsx?$|testdata|^fonts$/.test(name);

function* filesUnder(name) {
  const full = path.join(ROOT, name);
  if (!statSync(full).isDirectory()) yield name;
  else
    for (const inner of readdirSync(full).filter(isSource).sort())
      yield* filesUnder(path.join(name, inner));
}

function sourcesHash() {
  const hash = createHash('sha256');
  for (const name of SOURCES.flatMap((source) => [...filesUnder(source)])) {
    hash.update(name).update(readFileSync(path.join(ROOT, name)));
  }
  return hash.digest('hex');
}

/** The fonts that fonts.css names, out of their packages. */
function copyFonts() {
  const fonts = path.join(ROOT, 'public', 'fonts');
  mkdirSync(fonts, { recursive: true });
  const css = readFileSync(path.join(ROOT, 'public', 'styles', 'fonts.css'), 'utf8');
  for (const [, file] of css.matchAll(/\/fonts\/([\w-]+\.woff2)/g)) {
    const family = file.startsWith('zilla') ? 'zilla-slab' : 'ibm-plex-sans';
    cpSync(
      path.join(ROOT, 'node_modules/@fontsource', family, 'files', file),
      path.join(fonts, file),
    );
  }
}

/** Builds the app into dist/, unless that was built from these very sources. */
export function ensureBuilt({ force = false } = {}) {
  const stamp = path.join(ROOT, 'dist', '.built-from');
  const sources = sourcesHash();
  if (!force && existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  console.log('Building the app (a minute or two the first time) …');
  copyFonts();
  must('Building', 'npx', ['expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    env: OFFLINE,
    quiet: true,
  });
  must('Packing the app', process.execPath, ['scripts/pack.mjs']);
  must('Keeping the app for use offline', process.execPath, ['scripts/offline.mjs'], {
    quiet: true,
  });
  must('Compressing the app', process.execPath, ['scripts/compress.mjs'], { quiet: true });
  writeFileSync(stamp, sources);
}

const BROWSER = '/usr/bin/chromium';
/** Chromium without a window around its pages, in which walks take two thirds of the time. */
const QUICK_BROWSER = '/usr/bin/chromium-headless-shell';

/** Installs a package of Debian; whether that worked. */
function install(name) {
  console.log(`Installing ${name} …`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const options = { quiet: true, env: { DEBIAN_FRONTEND: 'noninteractive' } };
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', '-o', 'Acquire::http::Timeout=20', ...args];
    return run(command, rest, options) === 0;
  };
  return apt('update') && apt('install', '-y', '--no-install-recommends', name);
}

/** Debian's Chromium, installed where it is missing; CHROMIUM names another. */
export function ensureBrowser() {
  const named = process.env.CHROMIUM;
  if (existsSync(named ?? BROWSER)) return;
  if (!named && existsSync('/usr/bin/apt-get') && install(path.basename(BROWSER))) return;
  console.error(
    named
      ? `CHROMIUM names ${named}, and nothing is there.`
      : 'The browser tests need Chromium. Install it, and set CHROMIUM to where it is.',
  );
  process.exit(1);
}

/** The quicker one besides, where it can be had without asking for a password: all but a few tests can do with it. */
export function ensureQuickBrowser() {
  if (process.env.CHROMIUM || existsSync(QUICK_BROWSER)) return;
  const canInstall = existsSync('/usr/bin/apt-get') && process.getuid?.() === 0;
  if (!canInstall || !install(path.basename(QUICK_BROWSER)))
    console.log('The tests run in the whole Chromium, which takes them half as long again.');
}
