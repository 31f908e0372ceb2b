import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import {
  ensureBrowser,
  ensureBuilt,
  ensurePackages,
  ensureQuickBrowser,
  freePort,
  ROOT,
  run,
  runBeside,
} from './setup.mjs';

const began = Date.now();
const said = (what) =>
  console.log(`${what} (${Math.round((Date.now() - began) / 1000)} s since the start)`);

ensurePackages();
ensureBrowser();
ensureQuickBrowser();

const results = path.join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results);

said('Looking at format, lint, types and what is unused …');
const KNIP = ['knip', '--include', 'files,dependencies,unlisted,unresolved,exports'];
/** Only what changed since the last run is looked at again, and what depends on it. */
const typesOf = (config) => {
  const known = `node_modules/.cache/types/${config}.tsbuildinfo`;
  return ['tsc', '-p', `${config}.json`, '--noEmit', '--incremental', '--tsBuildInfoFile', known];
};
const faults = await runBeside([
  ['The lint', 'npx', ['eslint', '.', '--max-warnings', '0']],
  ['The look for circles of imports', process.execPath, ['scripts/circles.mjs']],
  ['The type check', 'npx', typesOf('tsconfig')],
  ['The type check of the core, which knows no page', 'npx', typesOf('tsconfig.core')],
  ['The type check of the engine', 'npx', typesOf('tsconfig.engine')],
  [
    'The format check (mend with npm run format)',
    'npx',
    'prettier --check --log-level warn --cache --cache-strategy content .'.split(' '),
  ],
  ['The check for unused files and packages', 'npx', KNIP],
]);
if (faults.length) {
  for (const fault of faults) console.error(`${fault} failed.`);
  process.exit(1);
}

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

said('Unit tests …');
const jestFile = path.join(results, 'jest.json');
const jestCode = run(
  'npx',
  ['jest', '--ci', '--maxWorkers=2', '--json', `--outputFile=${jestFile}`],
  {
    quiet: true,
  },
);
const jest = read(jestFile);

ensureBuilt();
said('Browser tests …');
const browserFile = path.join(ROOT, 'playwright-report', 'results.json');
rmSync(browserFile, { force: true });
const browserCode = run('npx', ['playwright', 'test'], {
  env: { E2E_PORT: process.env.E2E_PORT ?? String(await freePort()) },
});
const browser = read(browserFile);

/** What took longest, of either kind. */
function* timesOf() {
  for (const { name, startTime, endTime } of jest?.testResults ?? [])
    yield [endTime - startTime, path.relative(ROOT, name)];
  const inside = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(inside)];
  for (const { title, tests } of (browser?.suites ?? []).flatMap(inside))
    for (const { projectName, results: tries } of tests)
      yield [tries.reduce((sum, { duration }) => sum + duration, 0), `${projectName}: ${title}`];
}
console.log('The ten slowest:');
for (const [ms, name] of [...timesOf()].sort(([a], [b]) => b - a).slice(0, 10))
  console.log(`  ${(ms / 1000).toFixed(1).padStart(6)} s  ${name}`);
said('All done');

console.log(
  `Jest: ${jest?.numPassedTests ?? 0} passed, ${jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1} failed`,
);
const { expected = 0, flaky = 0, unexpected = 0 } = browser?.stats ?? {};
const failed = unexpected + flaky;
// A run that could not begin has no failed test, and has failed.
console.log(`Playwright: ${expected} passed, ${failed || (browserCode ? 1 : 0)} failed`);
if (browserCode && !failed) console.error('Playwright failed without a failed test: see above.');
if (jestCode && jest?.numFailedTests === 0)
  console.error('Jest failed without a failed test: see what it says of snapshots above.');
process.exitCode = jestCode || browserCode ? 1 : 0;
