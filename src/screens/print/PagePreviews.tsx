import { useEffect, useRef, useState } from 'react';
import type { PrintPage } from '@/core/print/boxes';
import { pageSvg, textOf } from '@/core/print/svg';
import { useIsWide } from '@/ui/useIsWide';

const MARGIN = 16;
/** A page is drawn before it comes into sight, by so much. */
const NEAR = '600px';

interface Props {
  page: PrintPage;
  nth: number;
  of: number;
  width: number;
}

/** A page as it will be printed; it is drawn once it is near what is in sight. */
function Preview({ page, nth, of, width }: Props) {
  const element = useRef<HTMLDivElement>(null);
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    const watch = new IntersectionObserver(([entry]) => setNear(entry?.isIntersecting === true), {
      rootMargin: NEAR,
    });
    watch.observe(element.current!);
    return () => watch.disconnect();
  }, []);
  return (
    <div
      ref={element}
      role="img"
      aria-label={`Page ${nth} of ${of}${isNear ? `: ${textOf(page)}` : ''}`}
      className="print-preview"
      style={{ width, height: (width * page.height) / page.width }}
      // The core has written it, with every text of the person's escaped.
      dangerouslySetInnerHTML={{ __html: isNear ? pageSvg(page) : '' }}
    />
  );
}

/** The pages under each other. */
export function PagePreviews({ pages }: { pages: readonly PrintPage[] }) {
  const isWide = useIsWide();
  const scroll = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(320);
  useEffect(() => {
    const watch = new ResizeObserver(() => setRoom(scroll.current?.clientWidth ?? 0));
    watch.observe(scroll.current!);
    return () => watch.disconnect();
  }, []);
  const width = Math.min(isWide ? 860 : 700, Math.max(160, room - 2 * MARGIN));
  return (
    <div ref={scroll} className="print-previews" role="region" aria-label="Pages" tabIndex={0}>
      {pages.map((page, i) => (
        <Preview key={i} page={page} nth={i + 1} of={pages.length} width={width} />
      ))}
    </div>
  );
}
