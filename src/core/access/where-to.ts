import { levelOf, reaches, type Asker } from './roles'

/** Nobody asks for these to work on them: whoever signed out there begins where everybody does. */
const NEVER = ['/sign-in', '/account']

/** Where somebody goes once they are in: to the page they asked for, where it is one of ours and opens to them. */
export function whereTo(asked: string | undefined, role: Asker): string {
  const usual = role === 'device' ? '/teach' : '/'
  if (asked === undefined || !/^\/[^/\\]/.test(asked)) return usual
  const { pathname } = new URL(asked, 'http://studio.test')
  if (NEVER.includes(pathname)) return usual
  return reaches(role, levelOf(pathname)) ? pathname : usual
}

/** The address of the sign-in page that leads on to a page; bare where that is where everybody goes. */
export function signInFor(path: string): string {
  return path === '/' || path === '' || NEVER.includes(path)
    ? '/sign-in'
    : `/sign-in?to=${encodeURIComponent(path)}`
}
