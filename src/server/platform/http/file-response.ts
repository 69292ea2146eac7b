/** Text as a file to be kept. */
export const fileResponse = (text: string, type: string, fileName: string): Response =>
  new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${fileName}"`,
      'cache-control': 'no-store',
    },
  })
