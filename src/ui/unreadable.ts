import { createContext, useCallback, useContext, useEffect, useId, useState } from 'react';

type Report = (field: string, isUnreadable: boolean) => void;

/** Where fields tell the form around them that they hold what they can't read. */
export const Unreadable = createContext<Report>(() => undefined);

/**
 * Whether any field inside holds what it can't read: a form is not kept then, since it would keep
 * something else than what it shows. `report` is to be the value of `Unreadable` around the fields,
 * which say themselves what they can't read.
 */
export function useReadable(): { isReadable: boolean; report: Report } {
  const [unreadable, setUnreadable] = useState<readonly string[]>([]);
  const report = useCallback<Report>((field, isUnreadable) => {
    setUnreadable((last) =>
      last.includes(field) === isUnreadable
        ? last
        : isUnreadable
          ? [...last, field]
          : last.filter((each) => each !== field),
    );
  }, []);
  return { isReadable: unreadable.length === 0, report };
}

/** Tells the form around a field whether it holds what it can't read. */
export function useReportUnreadable(isUnreadable: boolean): void {
  const report = useContext(Unreadable);
  const id = useId();
  useEffect(() => {
    report(id, isUnreadable);
    return () => report(id, false);
  }, [report, id, isUnreadable]);
}
