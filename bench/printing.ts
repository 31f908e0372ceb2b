import { DEFAULT_PRINT } from '../src/core/model/print';
import { pageSvg } from '../src/core/print/svg';
import { EVEN_WIDTHS } from '../src/core/print/text';
import { EVERYTHING } from '../src/core/query/eventQuery';
import { DAY, HOUR } from '../src/core/time/civil';
import type { Engine } from '../src/engine/engine';
import { WEEK_FROM } from './data';
import { report } from './report';

const DAYS = 366;

/** A year of the busy store on paper: laid out as a table, and written as what the browser prints. */
export async function benchPrinting(engine: Engine): Promise<void> {
  const from = WEEK_FROM / DAY - DAYS / 2;
  const before = performance.now();
  const pages = await engine.printer.pages({
    what: {
      kind: 'days',
      days: Array.from({ length: DAYS }, (_, i) => from + i),
      query: EVERYTHING,
    },
    setup: { ...DEFAULT_PRINT, form: 'table', by: 'all', isUpright: true },
    clock: 'Europe/London',
    wording: { locale: 'en-GB', hourCycle: '24' },
    firstWeekday: 0,
    today: WEEK_FROM / DAY,
    now: WEEK_FROM + 10 * HOUR,
    widths: EVEN_WIDTHS,
  });
  const laid = performance.now();
  const letters = pages.reduce((sum, page) => sum + pageSvg(page).length, 0);
  report('print: the year’s table, pages', pages.length, '');
  report('print: the year’s table, laid out', laid - before, 'ms', 5000);
  report('print: the same, written', performance.now() - laid, 'ms');
  report('print: the same, letters of SVG', letters / 1e6, 'MB');
}
