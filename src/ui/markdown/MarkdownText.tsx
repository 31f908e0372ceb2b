import type { ReactNode } from 'react';
import type { Components } from 'react-markdown';
import Markdown from 'react-markdown';
import remarkBreaks from 'remark-breaks';
import remarkGfm from 'remark-gfm';
import { PlainIcon } from '../icons/PlainIcon';
import { usePalette } from '../theme/theme';

/** Addresses, boxes and tables; a line that was broken stays broken. */
const PLUGINS = [remarkGfm, remarkBreaks];

/** Titles of notes stand below those of the page, and on one level: what they skip, nobody steps over. */
const heading = (size: 1 | 2 | 3) =>
  function Heading({ children }: { children?: ReactNode }) {
    return <h3 className={`markdown-title-${size}`}>{children}</h3>;
  };
const HEADINGS = {
  h1: heading(1),
  h2: heading(2),
  h3: heading(3),
  h4: heading(3),
  h5: heading(3),
  h6: heading(3),
};

/**
 * Simple Markdown as it is meant. Raw HTML is shown as it was typed and never run; pictures, which
 * would be asked for from elsewhere, become links.
 */
export default function MarkdownText({ text }: { text: string }) {
  const { accent, ink } = usePalette();
  // An address that may not be followed (script, data) was taken away: the text stays, and is no link.
  const link = (href: string | undefined, children: ReactNode) =>
    href ? (
      <a href={href} target="_blank" rel="noopener noreferrer" style={{ color: accent }}>
        {children}
      </a>
    ) : (
      <>{children}</>
    );
  const components: Components = {
    a: ({ href, children }) => link(href, children),
    img: ({ src, alt }) => link(typeof src === 'string' ? src : undefined, alt || 'A picture'),
    // The box of a line is told, and ticked where notes are written.
    input: ({ checked }) => (
      <span role="img" aria-label={checked ? 'Ticked' : 'Open'} className="markdown-box">
        <PlainIcon
          name={checked ? 'checkbox-marked-outline' : 'checkbox-blank-outline'}
          size={16}
        />
      </span>
    ),
    ...HEADINGS,
  };
  return (
    <div className="markdown" style={{ color: ink }}>
      <Markdown remarkPlugins={PLUGINS} components={components}>
        {text}
      </Markdown>
    </div>
  );
}
