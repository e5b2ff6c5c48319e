/** Whether a request comes from a page of this app: another site's page can send neither of these. */
export function isOwnPage(request: Request): boolean {
  return (request.headers.get('sec-fetch-site') ?? 'same-origin') === 'same-origin'
}
