import { useEffect, useMemo } from 'react';
import type { MailParty } from '@/core/model/mail';
import type { HeldRow, InvitationRow } from '@/engine/invitations/rows';
import type {
  GuestNews,
  StrayedRow,
  TellingManner,
  UntoldRow,
} from '@/engine/invitations/invitations';
import { describeError } from '@/core/userError';
import { download } from './browser';
import { useEngine } from './engineContext';
import { useEngineQuery } from './engineQuery';
import { useMessages } from './messages';
import { useNow } from './now';
import { inOneWindow } from './inOneWindow';
import { outsideState } from './outsideState';
import { useTouched } from './touched';
import type { Preferences } from './preferences';
import { usePreferences } from './preferences';
import { postBox } from './postBox';

const mannerOf = ({ wording, clock }: Preferences): TellingManner => ({
  now: Date.now(),
  saying: { wording, clock },
});

/** What others ask the person to, the next first. */
export function useInvitations(): readonly InvitationRow[] {
  const preferences = usePreferences();
  const { clock, wording } = preferences;
  const { data } = useEngineQuery(['invitations', clock, wording], (engine) =>
    engine.invitations.list(mannerOf(preferences)),
  );
  return useMemo(() => data ?? [], [data]);
}

/** How it stands with the guests of an event of the person's own. */
export function useGuestNews(eventId: string | null): GuestNews | null {
  const preferences = usePreferences();
  const { data } = useEngineQuery(
    ['guestNews', eventId, preferences.clock],
    (engine) => engine.invitations.guestNews(eventId!, mannerOf(preferences)),
    { enabled: eventId !== null, keep: false },
  );
  return data ?? null;
}

/** Events whose guests do not know how they are now, the next first. */
export function useUntold(): readonly UntoldRow[] {
  const preferences = usePreferences();
  const { data } = useEngineQuery(['untold', preferences.clock], (engine) =>
    engine.invitations.untold(mannerOf(preferences)),
  );
  return useMemo(() => data ?? [], [data]);
}

/** Messages that wait until the person says whether they count. */
export function useHeld(): readonly HeldRow[] {
  const { clock, wording } = usePreferences();
  const { data } = useEngineQuery(['held', clock, wording], (engine) =>
    engine.invitations.held({ clock, wording }),
  );
  return useMemo(() => data ?? [], [data]);
}

/** Of the events that were just changed here, those that who asks to them has at another time. */
export function useStrayed(): readonly StrayedRow[] {
  const { clock, wording } = usePreferences();
  const ids = useTouched();
  const { data } = useEngineQuery(
    ['strayed', ids, clock, wording],
    (engine) => engine.invitations.strayed(ids, { clock, wording }),
    { enabled: ids.length > 0, keep: false },
  );
  return useMemo(() => (ids.length && data) || [], [ids, data]);
}

/** Whether the post did not answer when it was asked last. */
const away = outsideState(false);
export const useIsPostAway = (): boolean => away.useValue();

/** Mails that wait to be sent. */
export function useWaitingMails(): number {
  const { data } = useEngineQuery(['waitingMails'], (engine) => engine.invitations.waiting());
  return data ?? 0;
}

/** Of several windows one looks for mail: what comes is told once. */
const exchange = inOneWindow('orderly-week-mail');

/** Sends what waits and takes in what came: when there is something to send, and once a minute. */
export function useMailExchange(): void {
  const { engine, status } = useEngine();
  const preferences = usePreferences();
  const { say } = useMessages();
  const now = useNow();
  const waiting = useWaitingMails();
  const { ready } = status;
  useEffect(() => {
    if (!engine || !ready) return;
    const sync = async () => {
      const { did, problems, isAway } = await engine.invitations.sync(mannerOf(preferences));
      away.put(isAway);
      const lines = [...did, ...problems];
      if (lines.length)
        say(
          lines.length > 2
            ? `${lines[0]}, and ${lines.length - 1} more mails came.`
            : lines.join('. '),
        );
    };
    void exchange(sync);
    // What things are called is no reason to ask again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [engine, ready, now, waiting, say]);
}

const HEADERS = { 'X-Orderly-Week': 'post', 'Content-Type': 'application/json' };

/** What can be done with mails besides answering them. */
export function useMails() {
  const { engine } = useEngine();
  const preferences = usePreferences();
  const { say, complain } = useMessages();
  return {
    /** Takes in an invitation or an answer from a file. */
    open: async (file: File): Promise<void> => {
      if (!engine) return;
      try {
        const { did, problems } = await engine.invitations.open(file, Date.now());
        if (problems.length) complain([...did, ...problems].join('. '));
        else say(`${did.join('. ')}.`, { offers: ['undo'] });
      } catch (error) {
        complain(`${file.name}: ${describeError(error)}`);
      }
    },
    /** Keeps a mail as a file: whole, or its calendar text alone. */
    save: async (id: string, subject: string, as: 'eml' | 'ics'): Promise<void> => {
      if (!engine) return;
      const name = `${subject.replaceAll(/[^\p{L}\p{N} -]+/gu, '').trim() || 'mail'}.${as}`;
      const { saying } = mannerOf(preferences);
      const text = await (as === 'eml'
        ? engine.invitations.mailFile(id, saying)
        : engine.invitations.calendarFile(id));
      if (text === null) complain('This mail is not here any more.');
      else download(name, text, as === 'eml' ? 'message/rfc822' : 'text/calendar');
    },
    /** Has the stand-in office ask the person to something. */
    begin: async (me: MailParty): Promise<void> => {
      try {
        const body = JSON.stringify({ me, now: Date.now() });
        const answer = await fetch(`/post/${postBox()}/begin`, {
          method: 'POST',
          headers: HEADERS,
          body,
        });
        if (!answer.ok) throw new Error(`It answered ${answer.status}.`);
        await engine?.invitations.sync(mannerOf(preferences));
      } catch {
        complain('The office does not answer. Try again in a moment.');
      }
    },
    sync: async (): Promise<void> => {
      const got = await engine?.invitations.sync(mannerOf(preferences));
      if (got?.isAway) complain('The post does not answer. What waits is sent when it does.');
      else if (got && !got.did.length && !got.problems.length) say('Nothing new came.');
      else if (got) say([...got.did, ...got.problems].join('. '));
    },
  };
}
