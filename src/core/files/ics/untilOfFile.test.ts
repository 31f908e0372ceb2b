import { ruleForFile, ruleFromFile } from './untilOfFile';

const london = (local: string) => ({ kind: 'zoned', local, zone: 'Europe/London' }) as const;

test.each([
  ['FREQ=DAILY;UNTIL=20260701', '20260701T225959Z'],
  ['FREQ=DAILY;UNTIL=20261201', '20261201T235959Z'],
  ['UNTIL=20260701T090000;FREQ=DAILY', '20260701T080000Z'],
])('%s of a start in a zone goes out in UTC, and comes back as it was', (rule, utc) => {
  const start = london('2026-06-01T09:00:00');
  const { rule: written, until } = ruleForFile(rule, start);
  expect(written).toContain(`UNTIL=${utc}`);
  expect(ruleFromFile(written, start, until!)).toBe(rule);
});

test.each([
  ['in UTC already', 'FREQ=DAILY;UNTIL=20260701T080000Z', london('2026-06-01T09:00:00')],
  ['of days', 'FREQ=DAILY;UNTIL=20260701', { kind: 'date', date: '2026-06-01' } as const],
  [
    'without a zone',
    'FREQ=DAILY;UNTIL=20260701T090000',
    { kind: 'floating', local: '2026-06-01T09:00:00' } as const,
  ],
  ['without UNTIL', 'FREQ=DAILY;COUNT=3', london('2026-06-01T09:00:00')],
])('a rule %s goes out as it is', (_, rule, start) => {
  expect(ruleForFile(rule, start)).toEqual({ rule });
});

test('a rule that somebody changed since, and a claim that is none, count as the file has them', () => {
  const start = london('2026-06-01T09:00:00');
  const changed = 'FREQ=DAILY;UNTIL=20260801T080000Z';
  expect(ruleFromFile(changed, start, '20260701')).toBe(changed);
  expect(ruleFromFile(changed, start, 'x;COUNT=9')).toBe(changed);
});
