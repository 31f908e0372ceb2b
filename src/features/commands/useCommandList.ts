import { useRouter } from 'expo-router';
import { FORMS } from '@/core/model/view';
import { useAskSheet } from '@/data/asked';
import { useDo } from '@/data/commands';
import { useHistory } from '@/data/history';
import { useCalendars, useLenses } from '@/data/queries';
import type { KeyAction } from '@/features/keys/keys';
import { useTopics } from '@/features/help/useTopics';

/** One line of the box: what it is called, of which kind it is, and the key that does it too. */
export interface CommandLine {
  id: string;
  name: string;
  group: 'Do' | 'Go to' | 'Lens' | 'Calendar' | 'Setting' | 'Help' | 'Event';
  also?: string;
  keys?: string;
  run(): void;
}

const SCREENS = [
  ['/', 'Plan', 'sheet week'],
  ['/today', 'Today', 'now next'],
  ['/find', 'Find', 'search look'],
  ['/tidy', 'Tidy', 'clean up checks doubles sweep'],
  ['/tasks', 'Tasks', 'to do'],
  ['/people', 'People', 'colleagues openings'],
  ['/invitations', 'Invitations', 'answer accept decline'],
  ['/message', 'Message', 'mail paste'],
  ['/calendars', 'Calendars', 'categories backup export'],
  ['/import', 'Import', 'file bring in'],
  ['/sent', 'Outbox', 'mails text messages'],
  ['/removed', 'Removed', 'trash bring back'],
  ['/settings', 'Settings', 'preferences'],
  ['/print', 'Print', 'paper page pdf'],
  ['/help', 'Help', 'how to'],
] as const;

const FORM_WORDS = {
  rows: ['Rows', 'R'],
  columns: ['Columns', 'C'],
  grid: ['Grid', 'K'],
  year: ['Year', 'U'],
  agenda: ['Agenda', 'L'],
  table: ['Table', 'B'],
} as const;

const SETTINGS = [
  ['Time zone and clock', 'home zone 24 hours'],
  ['Working hours', 'workweek days'],
  ['First day of the week', 'monday sunday'],
  ['Hours shown', 'sheet from to'],
  ['Reminders', 'notifications sound quiet'],
  ['Look: light, dark, letters, accent', 'theme size colour'],
  ['Copies kept by themselves', 'backup safe folder'],
  ['Own data or the demo', 'store'],
] as const;

/** Everything that can be done from the box, but for events, which are looked for. */
export function useCommandList(): CommandLine[] {
  const router = useRouter();
  const askSheet = useAskSheet();
  const act = useDo();
  const history = useHistory();
  const calendars = useCalendars();
  const lenses = useLenses();
  const { TASKS } = useTopics();
  const key = (action: KeyAction) => () => askSheet({ kind: 'key', action });
  const doing = (name: string, keys: string, run: () => void, also = ''): CommandLine => ({
    ...{ id: `do ${name}`, name, group: 'Do', keys, also, run },
  });
  return [
    doing('Add an event', 'Insert', () => askSheet({ kind: 'add' }), 'new meeting'),
    doing('Today', 'Home', key({ kind: 'today' }), 'this week'),
    doing(
      'The next stretch',
      'Page Down',
      key({ kind: 'turn', direction: 1 }),
      'next week on forward',
    ),
    doing('The stretch before', 'Page Up', key({ kind: 'turn', direction: -1 }), 'last week back'),
    doing('Go to a date', '#', key({ kind: 'date' })),
    doing('How the sheet is seen', 'V', key({ kind: 'view' }), 'view span form'),
    doing('Show only', 'O', key({ kind: 'filter' }), 'filter'),
    doing('Booked and clear hours', 'H', key({ kind: 'load' }), 'load'),
    doing('Larger sheet', '.', key({ kind: 'zoom', factor: 1.2 }), 'zoom'),
    doing('Smaller sheet', ',', key({ kind: 'zoom', factor: 1 / 1.2 }), 'zoom'),
    doing('Usual size of the sheet', '0', key({ kind: 'zoom', factor: null }), 'zoom'),
    doing('Undo', 'Ctrl + Z', () => void history.step('undo'), 'take back'),
    doing('Do again', 'Ctrl + Shift + Z', () => void history.step('redo'), 'redo'),
    doing('Keys', '?', key({ kind: 'help' }), 'shortcuts'),
    ...FORMS.map((form): CommandLine => {
      const [name, keys] = FORM_WORDS[form];
      return doing(`See it as ${name.toLowerCase()}`, keys, key({ kind: 'form', form }), 'form');
    }),
    ...SCREENS.map(([path, name, also]): CommandLine => ({
      ...{ id: path, name, also, group: 'Go to', run: () => router.navigate(path) },
      ...(path === '/find' ? { keys: 'F' } : path === '/print' ? { keys: 'Ctrl + P' } : {}),
    })),
    ...lenses.map(({ id, name, view }, nth): CommandLine => ({
      ...{ id: `lens ${id}`, name, group: 'Lens' },
      ...(nth < 9 ? { keys: String(nth + 1) } : {}),
      run:
        nth < 9
          ? key({ kind: 'lens', nth })
          : () => askSheet({ kind: 'view', fields: view, day: null }),
    })),
    ...calendars.map((before): CommandLine => ({
      ...{ id: `calendar ${before.id}`, group: 'Calendar', also: 'show hide calendar' },
      name: `${before.shown ? 'Hide' : 'Show'} ${before.name}`,
      run: () => void act({ kind: 'editCalendar', before, fields: { shown: !before.shown } }),
    })),
    ...SETTINGS.map(([name, also]): CommandLine => ({
      ...{ id: `setting ${name}`, name, also, group: 'Setting' },
      run: () => router.navigate('/settings'),
    })),
    ...TASKS.map(({ id, title, words }): CommandLine => ({
      ...{ id: `help ${id}`, name: title, also: words, group: 'Help' },
      run: () => router.navigate(`/help?of=${id}`),
    })),
  ];
}
