/**
 * Makes the built app light on the wire. Metro puts whatever two parts share into one common script, which
 * every first load then waits for: it is parted here into what the first week needs and the rest, which is
 * fetched before any other part. The styles become one file, and the worker begins at once.
 */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './setup.mjs';

const DIST = path.join(ROOT, 'dist');
const SCRIPTS = '/_expo/static/js/web/';
/** The parts that the first week is drawn by, by the beginnings of their files' names. */
const FIRST = /^(?:_layout|index|AskBars)-/;

const folder = path.join(DIST, SCRIPTS);
const read = (file) => readFileSync(path.join(folder, file), 'utf8');
const hashOf = (text) => createHash('sha256').update(text).digest('hex').slice(0, 32);

/** Writes a script under a name that says what is in it; its address. */
function write(name, text) {
  const file = `${name}-${hashOf(text)}.js`;
  writeFileSync(path.join(folder, file), text);
  return SCRIPTS + file;
}

/** What stands behind a module's body: its number, and those of the modules that it asks for. */
const TAIL = /,(\d+),(\[[^\][]*\]|\{"[^{}]*(?:\{[^{}]*\})?[^{}]*\})\);\s*$/;

/** A script's modules by number, each with its text, what it needs, and where what it needs later is. */
function parsed(text) {
  const modules = new Map();
  for (const piece of text.split(/^(?=__[dr]\()/m)) {
    const tail = TAIL.exec(piece);
    if (piece.startsWith('__r(')) continue;
    if (!tail) throw new Error(`No module: ${piece.slice(0, 80)}`);
    // A list, or an object with the places of parts that come later beside it.
    const { paths = {}, ...asked } = JSON.parse(tail[2].replace(/^(\[.*\])$/, '{"all":$1}'));
    const needs = (asked.all ?? Object.values(asked)).filter((id) => !(id in paths));
    modules.set(Number(tail[1]), { text: piece.trimEnd(), needs, paths });
  }
  return modules;
}

const html = readFileSync(path.join(DIST, 'index.html'), 'utf8');
const [, common] = /\/(__common-\w+\.js)"/.exec(html);
const [, entry] = /\/(index-\w+\.js)"/.exec(html);

const all = new Map();
const paths = {};
for (const file of readdirSync(folder).filter((name) => name.endsWith('.js')))
  if (!file.startsWith('engine-') && !file.startsWith('__expo'))
    for (const [id, module] of parsed(read(file))) {
      all.set(id, module);
      Object.assign(paths, module.paths);
    }

const firstPaths = Object.entries(paths).filter(([, url]) => FIRST.test(path.basename(url)));
const roots = [...parsed(read(entry)).keys(), ...firstPaths.map(([id]) => Number(id))];
const needed = new Set();
for (const queue = [...roots]; queue.length;) {
  const id = queue.pop();
  if (needed.has(id)) continue;
  needed.add(id);
  queue.push(...(all.get(id)?.needs ?? []));
}

const shared = [...parsed(read(common))];
const textOf = (isFirst) =>
  shared.flatMap(([id, { text }]) => (needed.has(id) === isFirst ? [text] : [])).join('\n');
const first = write('__common', textOf(true));
const rest = write('__rest', textOf(false));

/** In the page: fetches the rest before any part that is not of the first ones. */
function restFirst(isFirst, url) {
  let load = globalThis.__loadBundleAsync;
  let rest = null;
  const loadAfterRest = (part) => {
    if (isFirst.includes(part)) return load(part);
    rest ??= load(url).catch((error) => {
      rest = null;
      throw error;
    });
    return Promise.all([rest, load(part)]).then(([, loaded]) => loaded);
  };
  // The runtime may put its own way to load there later.
  Object.defineProperty(globalThis, '__loadBundleAsync', {
    get: () => loadAfterRest,
    set: (own) => (load = own),
  });
}
const firstUrls = [...new Set(firstPaths.map(([, url]) => url))];
const loader = `(${restFirst})(${JSON.stringify(firstUrls)},${JSON.stringify(rest)});\n`;
const begun = write('index', `${read(entry).trimEnd()}\n${loader}`);
for (const file of [common, entry]) rmSync(path.join(folder, file));

/** In the page: begins the worker before the scripts that will ask it are there. */
function beginWorker(url) {
  globalThis.begunWorker = new Worker(url);
  globalThis.begunWorker.onerror = () => (globalThis.begunWorker = null);
}
const engine = readdirSync(folder).find((name) => /^engine-\w+\.js$/.test(name));
const begin = write('begin', `(${beginWorker})(${JSON.stringify(SCRIPTS + engine)});\n`);

const SHEET = /\s*<link rel="stylesheet" href="([^"]+)" \/>/g;
const sheets = [...html.matchAll(SHEET)].map(([, url]) =>
  readFileSync(path.join(DIST, url), 'utf8'),
);
const styles = sheets.join('\n');
const sheet = `/_expo/static/styles-${hashOf(styles)}.css`;
writeFileSync(path.join(DIST, sheet), styles);

const ahead = firstUrls.map((url) => `<link rel="preload" href="${url}" as="script" />`).join('');
writeFileSync(
  path.join(DIST, 'index.html'),
  html
    .replaceAll(SHEET, '')
    .replace('<link rel="icon"', `<script src="${begin}" async></script><link rel="icon"`)
    .replace('</head>', `<link rel="stylesheet" href="${sheet}" />${ahead}</head>`)
    .replace(SCRIPTS + common, first)
    .replace(SCRIPTS + entry, begun),
);
