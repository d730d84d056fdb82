const TYPES = { md: 'text/markdown', csv: 'text/csv' } as const;

/** A text as a file that the browser keeps. */
export const textFile = (name: string, ending: keyof typeof TYPES, text: string): Response =>
  new Response(text, {
    headers: {
      'content-type': `${TYPES[ending]}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}.${ending}"`,
    },
  });
