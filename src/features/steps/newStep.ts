import type { BulkStep, StepKind } from '@/core/model/bulkSteps';
import { formatDate } from '@/core/time/civil';
import type { DayNumber } from '@/core/time/units';

/** What a step is before anything was chosen about it. */
export function newStep(
  kind: StepKind,
  { today, calendarId }: { today: DayNumber; calendarId: string },
): BulkStep {
  switch (kind) {
    case 'shiftDays':
      return { kind, days: 7 };
    case 'toDay':
      return { kind, day: formatDate(today) };
    case 'shiftMinutes':
      return { kind, minutes: 30 };
    case 'setStart':
      return { kind, minute: 540 };
    case 'setLength':
      return { kind, minutes: 30 };
    case 'round':
      return { kind, slot: 15 };
    case 'hours':
      return { kind, minute: 540, minutes: 60 };
    case 'zone':
      return { kind, zone: null, keeps: 'clock' };
    case 'calendar':
      return { kind, calendarId };
    case 'categories':
      return { kind, add: [], remove: [], isReplaced: false };
    case 'ink':
      return { kind, ink: null };
    case 'icon':
      return { kind, icon: null };
    case 'availability':
      return { kind, availability: 'busy' };
    case 'visibility':
      return { kind, visibility: 'private' };
    case 'importance':
      return { kind, importance: 'high' };
    case 'reminders':
      return { kind, how: 'follow', reminders: [] };
    case 'text':
      return { kind, field: 'place', text: '' };
    case 'replace':
      return { kind, fields: ['title'], find: '', with: '', matching: 'any' };
    case 'prefix':
    case 'suffix':
      return { kind, text: '' };
    case 'number':
      return { kind, from: 1 };
    case 'wholeDay':
    case 'trim':
    case 'removeFiles':
      return { kind };
  }
}

/** Steps by what they are about, as they are chosen. */
export const STEP_GROUPS: readonly { name: string; kinds: readonly StepKind[] }[] = [
  {
    name: 'When',
    kinds: [
      'shiftDays',
      'toDay',
      'shiftMinutes',
      'setStart',
      'setLength',
      'round',
      'wholeDay',
      'hours',
      'zone',
    ],
  },
  { name: 'Where it belongs', kinds: ['calendar', 'categories'] },
  { name: 'How it is met', kinds: ['availability', 'visibility', 'importance', 'reminders'] },
  {
    name: 'What it says',
    kinds: ['replace', 'text', 'prefix', 'suffix', 'trim', 'number'],
  },
  { name: 'How it looks', kinds: ['ink', 'icon'] },
  { name: 'Files', kinds: ['removeFiles'] },
];

/** Whether a step says enough to be done. */
export const isReady = (step: BulkStep): boolean =>
  !(
    (step.kind === 'replace' && step.find === '') ||
    ((step.kind === 'prefix' || step.kind === 'suffix') && step.text === '')
  );
