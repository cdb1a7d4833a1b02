/** A text to keep as a file. */
export const fileOf = (text: string, type: string, name: string): Response =>
  new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  })
