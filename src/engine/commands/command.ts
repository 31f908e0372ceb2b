import {
  editCalendar,
  addCalendar,
  bringBackCalendar,
  duplicateCalendar,
  mergeCalendars,
  moveCalendar,
  removeCalendar,
  showOnlyCalendar,
} from './calendars';
import { changeMany, doToMany } from './bulk';
import { keepCategory, removeCategory } from './categories';
import {
  addEvent,
  attachFiles,
  bringBackEvents,
  copyEvent,
  detachFiles,
  editEvent,
  moveEvent,
  removeEvents,
  setField,
} from './events';
import {
  acceptHeld,
  answerInvitation,
  ignoreHeld,
  letGoInvitation,
  proposeTime,
  remindSilent,
  takeProposal,
  tellGuests,
  turnDownProposal,
} from './invitations';
import { keepLens, moveLens, removeLens } from './lenses';
import type { Plan, Situation } from './plan';
import { carryPoints, writePage } from './pages';
import { backToAsked, passInvitationOn } from './passingOn';
import { keepOffer, letGoOffer, letGoPast, takeOffer } from './offers';
import { keepPerson, removePerson, showPerson } from './people';
import { keepQuestion, removeQuestion } from './questions';
import { keepRule, removeRule } from './rules';
import { editSeriesDates, removeSeriesDates, restoreSeriesDate } from './series';
import { settleShared, takeShared } from './shared';
import { endShare, keepShare } from './shares';
import { setSettings } from './settings';
import { sweepSeries } from './sweep';
import {
  bringBackTasks,
  changeTasks,
  keepTask,
  moveTasks,
  placeBlocks,
  removeTasks,
  sayTaskStands,
  tickTasks,
} from './tasks';
import { archiveEvents, joinInto, leaveFindings, mendFindings, showLeft } from './tidy';

/** Everything that a person can have done to records, by what it is called. */
const PLANNERS = {
  addEvent,
  editEvent,
  moveEvent,
  setField,
  copyEvent,
  removeEvents,
  bringBackEvents,
  attachFiles,
  detachFiles,
  editSeriesDates,
  removeSeriesDates,
  restoreSeriesDate,
  addCalendar,
  editCalendar,
  moveCalendar,
  showOnlyCalendar,
  removeCalendar,
  bringBackCalendar,
  duplicateCalendar,
  mergeCalendars,
  keepCategory,
  removeCategory,
  keepLens,
  moveLens,
  removeLens,
  keepQuestion,
  removeQuestion,
  keepRule,
  removeRule,
  setSettings,
  sweepSeries,
  changeMany,
  doToMany,
  mendFindings,
  joinInto,
  leaveFindings,
  showLeft,
  archiveEvents,
  keepTask,
  tickTasks,
  moveTasks,
  removeTasks,
  changeTasks,
  placeBlocks,
  sayTaskStands,
  bringBackTasks,
  writePage,
  carryPoints,
  keepPerson,
  removePerson,
  showPerson,
  keepOffer,
  takeOffer,
  letGoOffer,
  letGoPast,
  keepShare,
  endShare,
  takeShared,
  settleShared,
  answerInvitation,
  passInvitationOn,
  backToAsked,
  proposeTime,
  tellGuests,
  remindSilent,
  takeProposal,
  turnDownProposal,
  letGoInvitation,
  acceptHeld,
  ignoreHeld,
};

type Planners = typeof PLANNERS;

/** One thing to be done, with what it needs to know: `{ kind: 'removeLens', id }`. */
export type Command = {
  [Kind in keyof Planners]: { kind: Kind } & Parameters<Planners[Kind]>[1];
}[keyof Planners];

/**
 * What a command would do as things are; null when that is nothing.
 * @throws RangeError, in words for the person, when it can't be done.
 */
export function planOf(situation: Situation, { kind, ...request }: Command): Plan | null {
  // The union of commands says that each goes with its own request.
  const planner = PLANNERS[kind] as (situation: Situation, request: unknown) => Plan | null;
  return planner(situation, request);
}
