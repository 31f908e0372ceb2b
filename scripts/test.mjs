import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBrowser, ensureBuilt, ensurePackages, must, ROOT, run } from './setup.mjs';

ensurePackages();
ensureBrowser();

const results = path.join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results);

must('The format check (mend with npm run format)', 'npx', [
  'prettier',
  '--check',
  '--log-level',
  'warn',
  '.',
]);
must('The lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
must('The type check', 'npx', ['tsc', '--noEmit']);
must('The check for unused files and packages', 'npx', [
  'knip',
  '--include',
  'files,dependencies,unlisted,unresolved,exports',
]);

const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

const jestFile = path.join(results, 'jest.json');
const jestCode = run('npx', ['jest', '--ci', '--json', `--outputFile=${jestFile}`], {
  quiet: true,
});
const jest = read(jestFile);

ensureBuilt();
const browserFile = path.join(ROOT, 'playwright-report', 'results.json');
rmSync(browserFile, { force: true });
const browserCode = run('npx', ['playwright', 'test']);
const browser = read(browserFile);

console.log(
  `Jest: ${jest?.numPassedTests ?? 0} passed, ${jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1} failed`,
);
const { expected = 0, flaky = 0, unexpected = 1 } = browser?.stats ?? {};
console.log(`Playwright: ${expected} passed, ${unexpected + flaky} failed`);
process.exitCode = jestCode || browserCode ? 1 : 0;
