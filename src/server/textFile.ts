const TYPES = { md: 'text/markdown', csv: 'text/csv' } as const;

/** Markdown lets HTML through as it stands: what somebody typed as a name is none. */
const withoutHtml = (markdown: string): string => markdown.replaceAll('<', '&lt;');

/** A text as a file that the browser keeps. */
export const textFile = (name: string, ending: keyof typeof TYPES, text: string): Response =>
  new Response(ending === 'md' ? withoutHtml(text) : text, {
    headers: {
      'content-type': `${TYPES[ending]}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}.${ending}"`,
    },
  });
