/**
 * Breaks one place of the code after the other, on purpose, and looks whether a test notices.
 *
 *   npm run mutate -- src/core/time src/core/recurrence [--sample=60] [--seed=1]
 *
 * Works on a copy, so that nothing here changes. A place is first tried against the tests of its own
 * folder, then against all that use it. Those that live are listed at the end.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import ts from 'typescript';
import { ROOT } from './setup.mjs';

const MINUTE = 60_000;
/** A test run that takes longer hangs, which is noticed too. */
const PATIENCE = 6 * MINUTE;
const DEFAULT_SAMPLE = 60;

const { SyntaxKind: Kind } = ts;
const SWAPS = new Map([
  [Kind.LessThanToken, ['<=', '>=']],
  [Kind.LessThanEqualsToken, ['<', '>']],
  [Kind.GreaterThanToken, ['>=', '<=']],
  [Kind.GreaterThanEqualsToken, ['>', '<']],
  [Kind.EqualsEqualsEqualsToken, ['!==']],
  [Kind.ExclamationEqualsEqualsToken, ['===']],
  [Kind.PlusToken, ['-']],
  [Kind.MinusToken, ['+']],
  [Kind.AsteriskToken, ['/']],
  [Kind.SlashToken, ['*']],
  [Kind.PercentToken, ['*']],
  [Kind.AmpersandAmpersandToken, ['||']],
  [Kind.BarBarToken, ['&&']],
  [Kind.QuestionQuestionToken, ['&&']],
  [Kind.PlusEqualsToken, ['-=']],
]);

/** The ways in which a node can be broken: a stretch of the text and what stands there instead. */
function* breaksOf(node, source) {
  const whole = (text) => ({ from: node.getStart(source), to: node.getEnd(), text });
  const of = (part, text) => ({ from: part.getStart(source), to: part.getEnd(), text });
  if (ts.isBinaryExpression(node))
    for (const text of SWAPS.get(node.operatorToken.kind) ?? []) yield of(node.operatorToken, text);
  if (ts.isIfStatement(node) || ts.isConditionalExpression(node)) {
    const condition = ts.isIfStatement(node) ? node.expression : node.condition;
    yield of(condition, 'true');
    yield of(condition, 'false');
  }
  if (ts.isWhileStatement(node)) yield of(node.expression, 'false');
  if (node.kind === Kind.TrueKeyword) yield whole('false');
  if (node.kind === Kind.FalseKeyword) yield whole('true');
  if (ts.isPrefixUnaryExpression(node) && node.operator === Kind.ExclamationToken)
    yield whole(node.operand.getText(source));
  if (ts.isPrefixUnaryExpression(node) && node.operator === Kind.MinusToken)
    yield whole(node.operand.getText(source));
  if (ts.isArrayLiteralExpression(node) && node.elements.length) yield whole('[]');
  if (ts.isExpressionStatement(node) && ts.isCallExpression(node.expression)) yield whole(';');
  if (ts.isNumericLiteral(node) && !ts.isEnumMember(node.parent))
    yield whole(String(Number(node.text.replaceAll('_', '')) + 1));
}

/** Where types stand nothing runs. */
const isTypeOnly = (node) =>
  ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isImportDeclaration(node);

function breaksIn(file) {
  const text = readFileSync(path.join(ROOT, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const visit = (node) => {
    if (isTypeOnly(node)) return;
    for (const change of breaksOf(node, source)) {
      const { line } = source.getLineAndCharacterOfPosition(change.from);
      found.push({ ...change, file, line: line + 1, was: text.slice(change.from, change.to) });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

function sourcesUnder(place) {
  if (statSync(path.join(ROOT, place)).isFile()) return [place];
  return readdirSync(path.join(ROOT, place), { recursive: true })
    .map((name) => path.join(place, name))
    .filter((name) => /\.ts$/.test(name) && !/test\.ts$|testing\//.test(name));
}

/** Always the same of them, spread over all. */
function sampleOf(breaks, many, seed) {
  const rank = ({ file, from, text }) =>
    createHash('sha256').update(`${seed} ${file} ${from} ${text}`).digest('hex');
  return breaks
    .map((change) => ({ change, rank: rank(change) }))
    .sort((a, b) => (a.rank < b.rank ? -1 : 1))
    .slice(0, many)
    .map(({ change }) => change);
}

/** Always in the same place, since what Jest has compiled is known by its path. */
function copyOfProject() {
  const copy = path.join(tmpdir(), 'orderly-mutants');
  rmSync(copy, { recursive: true, force: true });
  execFileSync('git', ['clone', '-q', ROOT, copy]);
  symlinkSync(path.join(ROOT, 'node_modules'), path.join(copy, 'node_modules'));
  return copy;
}

/** Whether a test fails. */
function isNoticed(copy, ...which) {
  const { status } = spawnSync(
    'npx',
    ['jest', '--selectProjects', 'core', '--bail', '--silent', '--passWithNoTests', ...which],
    { cwd: copy, stdio: 'ignore', timeout: PATIENCE, env: { ...process.env, PROPERTY_RUNS: '10' } },
  );
  return status !== 0;
}

function fate(copy, { file, from, to, text }) {
  const target = path.join(copy, file);
  const whole = readFileSync(target, 'utf8');
  writeFileSync(target, whole.slice(0, from) + text + whole.slice(to));
  try {
    if (isNoticed(copy, '--testPathPattern', `${path.dirname(file)}/`)) return 'noticed';
    return isNoticed(copy, '--findRelatedTests', file) ? 'noticed elsewhere' : 'LIVED';
  } finally {
    writeFileSync(target, whole);
  }
}

const places = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const option = (name, usual) =>
  Number(process.argv.find((word) => word.startsWith(`--${name}=`))?.split('=')[1] ?? usual);
const all = places.flatMap(sourcesUnder).flatMap(breaksIn);
const tried = sampleOf(all, option('sample', DEFAULT_SAMPLE), option('seed', 1));
const copy = copyOfProject();
console.log(`${all.length} places can be broken; ${tried.length} of them are tried in ${copy}.`);
const lived = [];
for (const [i, change] of tried.entries()) {
  const end = fate(copy, change);
  const { file, line, was, text } = change;
  console.log(
    `${i + 1} ${end}: ${file}:${line} ${was.replace(/\s+/g, ' ').slice(0, 60)} → ${text.slice(0, 40)}`,
  );
  if (end === 'LIVED') lived.push(change);
}
const killed = tried.length - lived.length;
console.log(
  `${killed} of ${tried.length} were noticed (${Math.round((100 * killed) / tried.length)} %).`,
);
