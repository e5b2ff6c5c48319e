/** @jest-environment jsdom */
import { holdPresses } from './early-press'

const begin = (html: string): void => {
  document.body.innerHTML = html
  holdPresses()
}
const at = (id: string): HTMLElement => document.getElementById(id) ?? document.body
const heard = (id: string): jest.Mock => {
  const listener = jest.fn()
  at(id).addEventListener('click', listener)
  return listener
}
afterEach(() => window.earlyPresses?.letGo())

it('holds a press until the page listens, and carries it out once however often it was made', () => {
  begin('<button id="make"><svg id="icon"></svg>Make the plan</button><button id="other">Other</button>')
  const [make, other] = [heard('make'), heard('other')]
  for (const id of ['make', 'icon', 'make']) at(id).dispatchEvent(new MouseEvent('click', { bubbles: true }))
  expect([make.mock.calls.length, document.documentElement.hasAttribute('data-held')]).toEqual([0, true])
  window.earlyPresses?.letGo()
  expect([make.mock.calls.length, other.mock.calls.length]).toEqual([1, 0])
  expect(document.documentElement.hasAttribute('data-held')).toBe(false)
  // From now on a press is a press.
  at('make').click()
  expect(make).toHaveBeenCalledTimes(2)
})

it('a box that was ticked by its label is ticked once; what the browser follows itself is left to it', () => {
  begin(
    '<label id="word" for="box">Open</label><input id="box" type="checkbox"><a id="link" href="#on">On</a>' +
      '<form action="/library"><button id="look">Look</button></form>' +
      '<form id="own"><button id="keep">Keep</button></form><label id="name">Name <input id="text"></label>',
  )
  const [link, look, keep, text] = [heard('link'), heard('look'), heard('keep'), heard('text')]
  document.addEventListener('submit', (event) => event.preventDefault())
  for (const id of ['word', 'link', 'look', 'keep', 'text']) at(id).click()
  expect([link, look, keep, text].map((f) => f.mock.calls.length)).toEqual([1, 1, 0, 1])
  expect((at('box') as HTMLInputElement).checked).toBe(false)
  window.earlyPresses?.letGo()
  expect((at('box') as HTMLInputElement).checked).toBe(true)
  expect(keep).toHaveBeenCalledTimes(1)
})

it('what is gone by then is not pressed', () => {
  begin('<button id="make">Make</button>')
  const make = heard('make')
  at('make').click()
  at('make').remove()
  window.earlyPresses?.letGo()
  expect(make).not.toHaveBeenCalled()
})
