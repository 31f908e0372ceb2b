import type { Components } from 'react-markdown';
import Markdown from 'react-markdown';
import remarkBreaks from 'remark-breaks';
import remarkGfm from 'remark-gfm';
import { PlainIcon } from '../icons/PlainIcon';
import { usePalette } from '../theme/theme';

/** Addresses, boxes and tables; a line that was broken stays broken. */
const PLUGINS = [remarkGfm, remarkBreaks];

/** Titles of notes stand below those of the page. */
const HEADINGS = { h1: 'h3', h2: 'h4', h3: 'h5' } as const;

/**
 * Simple Markdown as it is meant. Raw HTML is shown as it was typed and never run; pictures, which
 * would be asked for from elsewhere, become links.
 */
export default function MarkdownText({ text }: { text: string }) {
  const { accent, ink } = usePalette();
  const link = (href: string | undefined, children: React.ReactNode) => (
    <a href={href} target="_blank" rel="noopener noreferrer" style={{ color: accent }}>
      {children}
    </a>
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
    h1: ({ children }) => <HEADINGS.h1>{children}</HEADINGS.h1>,
    h2: ({ children }) => <HEADINGS.h2>{children}</HEADINGS.h2>,
    h3: ({ children }) => <HEADINGS.h3>{children}</HEADINGS.h3>,
  };
  return (
    <div className="markdown" style={{ color: ink }}>
      <Markdown remarkPlugins={PLUGINS} components={components}>
        {text}
      </Markdown>
    </div>
  );
}
