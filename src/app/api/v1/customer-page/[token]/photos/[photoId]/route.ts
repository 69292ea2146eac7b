import { PhotoId } from '@/domain/shared/ids'
import { notFound } from '@/domain/shared/problems'
import { answerError } from '@/server/platform/http/problem-response'
import { customerPhoto } from '@/server/customers/customer-page'

/** A photo of the customer's own ponds; the link is all it takes. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ token: string; photoId: string }> },
): Promise<Response> {
  try {
    const { token, photoId } = await params
    const id = PhotoId.safeParse(photoId)
    if (!id.success) throw notFound('photo')
    const size = new URL(request.url).searchParams.get('size') === 'thumbnail' ? 'thumbnail' : 'image'
    const bytes = await customerPhoto(token, id.data, size)
    return new Response(new Uint8Array(bytes), {
      headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=86400' },
    })
  } catch (error) {
    return answerError(error)
  }
}
