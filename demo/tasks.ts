import type { Task } from '@/core/model/task';

/** A task of the demo: days are counted from the Monday of this week. */
export interface TaskSpec {
  title: string;
  calendar: string;
  day?: number;
  /** `HH:mm` by which it is due on its day. */
  at?: string;
  /** The day on which it can be begun. */
  from?: number;
  /** The title of the event that it belongs to. */
  of?: string;
  more?: Partial<Task>;
}

/** What the coordinator has to do: something of each sort. */
export const TASKS: TaskSpec[] = [
  { title: 'Send ledger to the auditor', calendar: 'accounts', day: -3, more: { estimate: 20 } },
  { title: 'Label the lamp crates', calendar: 'clients', day: 1, more: { estimate: 45 } },
  {
    title: 'Order shellac',
    calendar: 'workshop',
    day: 4,
    more: { estimate: 30, rule: 'FREQ=MONTHLY', link: 'https://chandler.example/shellac' },
  },
  {
    title: 'Write the survey findings',
    calendar: 'clients',
    day: 3,
    at: '17:00',
    of: 'Pilot station survey',
    more: { estimate: 180, importance: 1, percent: 25, status: 'started' },
  },
  {
    title: 'Ask Oskar for the freight papers',
    calendar: 'clients',
    day: 2,
    more: { estimate: 10 },
  },
  { title: 'Collect quotes for pier lights', calendar: 'clients', day: 4, more: { estimate: 150 } },
  {
    title: 'Prepare the wick cutting class',
    calendar: 'training',
    day: 9,
    from: 7,
    more: { estimate: 90, notes: 'Three blades are blunt.\nAsk Mei for the long ones.' },
  },
  {
    title: 'Weekly backup',
    calendar: 'accounts',
    day: 4,
    more: { estimate: 15, rule: 'FREQ=WEEKLY' },
  },
  { title: 'Sort the drawer of gaskets', calendar: 'workshop', more: { importance: 9 } },
  {
    title: 'Renew the first aid certificate',
    calendar: 'training',
    day: 24,
    of: 'First aid refresher',
    more: { estimate: 60 },
  },
  {
    title: 'Pay the ferry office',
    calendar: 'accounts',
    day: -1,
    more: { status: 'done', percent: 100 },
  },
];
