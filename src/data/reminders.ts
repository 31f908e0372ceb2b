import { useEffect, useRef } from 'react';
import { sayLeaveBy, sayStanding } from '@/core/agenda/standing';
import { titleOf } from '@/core/model/titleOf';
import { occurrenceIdOf } from '@/core/reminders/schedule';
import type { ReminderWording } from '@/core/reminders/words';
import { MINUTE } from '@/core/time/civil';
import type { EpochMs } from '@/core/time/units';
import { saySpan } from '@/core/time/words';
import { withoutPrivate } from '@/core/view/privacy';
import type { Reminded, ShownReminder } from '@/engine/reminders/reminders';
import { describeError } from '@/core/userError';
import { useAskSheet } from './asked';
import { chime } from './chime';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { useMessages } from './messages';
import type { Notice, NoticePress } from './notices';
import { closeNotices, NOTICE_AGAIN, onNoticePress, showNotices } from './notices';
import { useNow } from './now';
import { openTask } from './openedTask';
import type { Preferences } from './preferences';

const NONE: Reminded = { shown: [], fresh: [], held: 0, quiet: null, toSend: 0 };

/** What a notification says of a reminder. */
function noticeOf(
  { id, occurrence }: ShownReminder,
  now: EpochMs,
  { wording, settings }: Preferences,
): Notice {
  const o = settings.hasPrivateTitles ? occurrence : withoutPrivate(occurrence);
  const facts = [sayStanding(o, now), saySpan(o, wording), o.place, sayLeaveBy(o, wording)];
  return { id, title: titleOf(o), body: facts.filter(Boolean).join(' · ') };
}

/** Sounds and shows what this window is to tell, as no other does. */
function tell({ fresh, shown }: Reminded, preferences: Preferences, store: 'own' | 'demo'): void {
  if (!fresh.length) return;
  const { hasSound, notices } = preferences.settings.reminding;
  if (hasSound) chime();
  if (notices !== 'wanted') return;
  const now = Date.now();
  const told = shown.filter(({ id }) => fresh.includes(id));
  void showNotices(
    store,
    told.map((one) => noticeOf(one, now, preferences)),
    hasSound,
  );
}

/** The page's title says how many reminders wait, beside what it says already. */
function useCountInTitle(waiting: number): void {
  useEffect(() => {
    const count = () => {
      const bare = document.title.replace(/^\(\d+\) /, '');
      const title = waiting > 0 ? `(${waiting}) ${bare}` : bare;
      if (document.title !== title) document.title = title;
    };
    count();
    const watched = new MutationObserver(count);
    watched.observe(document.head, { subtree: true, childList: true, characterData: true });
    return () => watched.disconnect();
  }, [waiting]);
  useEffect(() => {
    // Only installed apps have a badge, and not all of them.
    navigator.setAppBadge?.(waiting).catch(() => undefined);
  }, [waiting]);
}

/** Looks again at once when the page is seen or the machine is awake again: timers may have slept. */
function useOnWaking(look: () => void): void {
  const latest = useRef(look);
  useEffect(() => {
    latest.current = look;
  });
  useEffect(() => {
    const wake = () => {
      if (document.visibilityState === 'visible') latest.current();
    };
    document.addEventListener('visibilitychange', wake);
    window.addEventListener('focus', wake);
    window.addEventListener('online', wake);
    return () => {
      document.removeEventListener('visibilitychange', wake);
      window.removeEventListener('focus', wake);
      window.removeEventListener('online', wake);
    };
  }, []);
}

/** What is to be reminded of by now, and what can be done with it. One part of the page uses it. */
export function useReminders(preferences: Preferences) {
  const { engine, status, store } = useEngine();
  const { complain } = useMessages();
  const askSheet = useAskSheet();
  const now = useNow();
  const wording: ReminderWording = { ...preferences.wording, clock: preferences.clock };
  const { data, refetch } = useEngineQuery(
    ['reminders', now, wording],
    async (e) => {
      const reminded = await e.reminders.check(Date.now(), wording);
      // Here, since an answer that nobody waits for any more has been given all the same.
      tell(reminded, preferences, store);
      return reminded;
    },
    { enabled: status.ready },
  );
  const { shown, held, quiet, toSend } = data ?? NONE;
  useCountInTitle(shown.length);
  useOnWaking(() => status.ready && void refetch());
  const waiting = data?.shown;
  useEffect(() => {
    // Before it is known what waits, what another page showed stays.
    if (waiting) void closeNotices(new Set(waiting.map(({ id }) => id)));
  }, [waiting]);
  useEffect(() => {
    if (toSend > 0) void engine?.reminders.send();
  }, [engine, toSend, now]);

  async function guarded(work: Promise<void> | undefined): Promise<void> {
    try {
      await work;
    } catch (error) {
      complain(`That reminder could not be changed. ${describeError(error)}`);
    }
  }
  const done = (ids: readonly string[]) => guarded(engine?.reminders.done(ids));
  const again = (id: string, at: EpochMs) => guarded(engine?.reminders.again(id, at));
  const open = (occurrenceId: string) => {
    const task = shown.find(({ taskId }) => taskId === occurrenceId);
    if (task) openTask(occurrenceId);
    else askSheet({ kind: 'event', id: occurrenceId, uncovers: true });
  };

  const pressed = useRef<(press: NoticePress) => void>(() => undefined);
  useEffect(() => {
    pressed.current = ({ id, action, store: of }) => {
      if (of !== store) return;
      if (action === 'done') void done([id]);
      if (action === 'again') void again(id, Date.now() + NOTICE_AGAIN * MINUTE);
      if (action === 'open') open(occurrenceIdOf(id));
    };
  });
  const { ready } = status;
  useEffect(() => (ready ? onNoticePress((press) => pressed.current(press)) : undefined), [ready]);

  return {
    now,
    shown,
    held,
    quiet,
    done,
    again,
    open,
    release: () => guarded(engine?.reminders.release()),
  };
}
