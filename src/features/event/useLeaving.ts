import { useEffect, useRef } from 'react';
import { titleOf } from '@/core/model/titleOf';
import { LINE, useDraft } from '@/data/drafts';
import { useMessages } from '@/data/messages';
import type { Editor } from './useEditor';

/**
 * How the editor is left: `done` lets its draft go, for it was kept or given up; whatever else takes
 * the editor away leaves the draft, and says so.
 */
export function useLeaving(
  { isChanged, drop, form }: Pick<Editor, 'isChanged' | 'drop' | 'form'>,
  isNew: boolean,
  onDone: () => void,
) {
  const { say } = useMessages();
  const { drop: dropLine } = useDraft(LINE);
  const state = useRef({ waits: false, isDone: false, title: '' });
  useEffect(() => {
    state.current = { ...state.current, waits: isChanged, title: titleOf(form) };
  });
  useEffect(() => {
    const leaving = state;
    leaving.current.isDone = false;
    return () => {
      const { waits, isDone, title } = leaving.current;
      if (!waits || isDone) return;
      say(
        isNew
          ? `“${title}” is not added yet: it waits where you add.`
          : `Your changes to “${title}” wait: edit it again to go on with them.`,
      );
    };
  }, [say, isNew]);
  return {
    done: () => {
      state.current.isDone = true;
      drop();
      // A new event began as a line.
      if (isNew) dropLine();
      onDone();
    },
  };
}
