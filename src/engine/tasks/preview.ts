import { differencesOf } from '@/core/bulk/differences';
import { anchorOf, taskAsEvent } from '@/core/tasks/asEvent';
import type { Task } from '@/core/model/task';
import type { EventTime } from '@/core/model/common';
import { formatTask, sayTaskTime } from '@/core/tasks/formatTask';
import { dayOfWall, formatDate } from '@/core/time/civil';
import { wallFromInstant } from '@/core/time/zones';
import type { BulkPreview, PreviewLine, PreviewManner } from '../bulk/bulk';
import type { TaskChangeRequest } from '../commands/tasks';
import { changedTasks } from '../commands/tasks';
import type { Records } from '../commands/plan';

/** Lines that a preview lists. */
const LISTED = 300;

/** What several edits of many tasks come to. @throws RangeError for a pattern that can't be used. */
export function taskPreview(
  records: Records,
  request: TaskChangeRequest,
  manner: PreviewManner,
): BulkPreview {
  const { now, wording, clock } = manner;
  const today = dayOfWall(wallFromInstant(now, clock));
  const otherwise: EventTime = { kind: 'date', date: formatDate(today) };
  const say = {
    ...wording,
    clock,
    home: manner.home,
    calendarOf: (id: string) => records.get('calendar', id),
    categoryName: (id: string) => records.get('category', id)?.name ?? 'a removed category',
  };
  const sayWhen = (task: Task) => {
    const anchor = anchorOf(task);
    return anchor ? sayTaskTime(anchor, { ...wording, clock, today }) : '—';
  };
  const sayDue = (before: Task, after: Task) => ({
    name: 'Due',
    before: sayWhen(before),
    after: sayWhen(after),
  });
  const asEvent = (task: Task) => taskAsEvent(task, otherwise);
  const lines = changedTasks(records, request, now).map(
    ({ before, after, isChanged }): PreviewLine => ({
      id: before.id,
      eventId: before.id,
      title: before.title,
      calendarId: before.calendarId ?? '',
      when: formatTask(before, { ...wording, clock, today }),
      scope: null,
      differences: isChanged
        ? differencesOf(asEvent(before), asEvent(after), say).map((one) =>
            one.name === 'When' ? sayDue(before, after) : one,
          )
        : [],
      outcome: '',
      refusals: [],
      clashes: [],
      isChanged,
    }),
  );
  return {
    lines: lines.slice(0, LISTED),
    total: lines.length,
    changed: lines.filter(({ isChanged }) => isChanged).length,
    refused: [],
    consequences: null,
    series: [],
  };
}
