const ENTITIES: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/** A text as HTML shows it: nothing of it is markup. */
export const escaped = (text: string): string =>
  text.replaceAll(/[&<>"']/g, (letter) => ENTITIES[letter]!);

interface PlainPage {
  title: string;
  /** What stands in `main`: HTML, in which every text is escaped. */
  main: string;
  /** Seconds after which it is asked for again; 0 for never. */
  refresh?: number;
  /** More style rules. */
  style?: string;
}

/** A page that works without script, on a phone first. */
export function plainPage({ title, main, refresh = 0, style = '' }: PlainPage): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="robots" content="noindex">
<title>${escaped(title)}</title>
${refresh ? `<meta http-equiv="refresh" content="${refresh}">` : ''}
<link rel="icon" href="data:,">
<style>
body { font: 18px/1.5 system-ui, sans-serif; margin: 0; padding: 24px; background: #f4f1ea; color: #22302d; }
main { max-width: 560px; margin: 8vh auto 0; }
h1 { font-size: 1.6em; margin: 0; }
small { color: #55635f; }
${style}
</style>
</head>
<body>
<main>
${main}
</main>
</body>
</html>`;
}
