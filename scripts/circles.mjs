/** Fails when files import each other in a circle: such files can only be understood, and moved, together. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';
import { ROOT } from './setup.mjs';

const FOLDERS = ['app', 'src', 'demo', 'server', 'scripts', 'bench', 'e2e'];
const ENDINGS = ['', '.ts', '.tsx', '.mjs', '/index.ts'];

const files = FOLDERS.flatMap((folder) =>
  readdirSync(path.join(ROOT, folder), { recursive: true })
    .filter((name) => /\.(tsx?|mjs)$/.test(name))
    .map((name) => path.join(ROOT, folder, name)),
);

/** Our own file that an import names; undefined for a package. */
function fileOf(name, from) {
  const base = name.startsWith('@/')
    ? path.join(ROOT, 'src', name.slice(2))
    : name.startsWith('.') && path.resolve(path.dirname(from), name);
  if (!base) return undefined;
  return ENDINGS.map((ending) => base + ending).find(
    (file) => existsSync(file) && /\.(tsx?|mjs)$/.test(file),
  );
}

const imports = new Map(
  files.map((file) => {
    const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'));
    return [file, importedFiles.map(({ fileName }) => fileOf(fileName, file)).filter(Boolean)];
  }),
);

const done = new Set();
const circles = [];

function follow(file, way) {
  const at = way.indexOf(file);
  if (at >= 0) return void circles.push([...way.slice(at), file]);
  if (done.has(file)) return;
  for (const next of imports.get(file) ?? []) follow(next, [...way, file]);
  done.add(file);
}

for (const file of files) follow(file, []);
for (const circle of circles)
  console.error(circle.map((file) => path.relative(ROOT, file)).join(' → '));
process.exitCode = circles.length ? 1 : 0;
