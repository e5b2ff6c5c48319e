import { beginGuess, guessed, takeBackGuess, waitBeforeGuess } from './guesses'

it('waits double each time up to five minutes and are forgotten after a right one', () => {
  const waits = Array.from({ length: 14 }, () => {
    guessed('door', false, 0)
    return waitBeforeGuess('door', 0)
  })
  expect(waits).toEqual([0, 0, 1, 2, 4, 8, 16, 32, 64, 128, 256, 300, 300, 300].map((s) => s * 1000))
  guessed('door', true, 0)
  expect(waitBeforeGuess('door', 0)).toBe(0)
})

it('one door holds up no other, and whoever tries many names fills no memory', () => {
  for (let n = 0; n < 5; n += 1) guessed('this', false, 0)
  expect([waitBeforeGuess('this', 0) > 0, waitBeforeGuess('that', 0)]).toEqual([true, 0])
  for (let n = 0; n < 2500; n += 1) guessed(`name ${n}`, false, 0)
  // The oldest is forgotten first.
  expect(waitBeforeGuess('this', 0)).toBe(0)
})

it('sixty that come at once are not all judged: each counts before it is', () => {
  const begun = Array.from({ length: 60 }, () => beginGuess('burst', 0)).filter((wait) => wait === 0)
  expect(begun).toHaveLength(3)
  guessed('burst', true, 0)
  expect(beginGuess('burst', 0)).toBe(0)
})

it('one that was none is taken back, and opens no more than there was before', () => {
  for (let n = 0; n < 3; n += 1) beginGuess('code', 0)
  takeBackGuess('code')
  expect([beginGuess('code', 0), beginGuess('code', 0)]).toEqual([0, 1000])
  takeBackGuess('nobody’s')
  expect(waitBeforeGuess('nobody’s', 0)).toBe(0)
})
