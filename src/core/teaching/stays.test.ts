import { dueOut, stayingIn } from './stays'

const up = [
  { studentId: 'long', holdS: 300 },
  { studentId: 'short', holdS: 30 },
  { studentId: 'all', holdS: null },
]
const STAY = { kind: 'stay', workS: 300 } as const

describe('stays counted down', () => {
  it('each leaves when theirs is over, the shortest first', () => {
    // Twenty seconds into five minutes.
    expect(stayingIn(STAY, up, 280)).toEqual([
      { studentId: 'short', leftS: 10 },
      { studentId: 'long', leftS: 280 },
      { studentId: 'all', leftS: 280 },
    ])
  })
  it('says who is due out for a while, and then no more', () => {
    const at = (intoS: number) => dueOut(stayingIn(STAY, up, 300 - intoS))
    expect(at(29).out).toEqual([])
    expect(at(30).out.map((s) => s.studentId)).toEqual(['short'])
    expect(at(49).out.map((s) => s.studentId)).toEqual(['short'])
    expect(at(50).out).toEqual([])
    expect(at(50).still.map((s) => s.studentId)).toEqual(['long', 'all'])
    expect(at(300).out.map((s) => s.studentId)).toEqual(['long', 'all'])
  })
  it('counts nothing down in sets and turns', () => {
    expect(stayingIn({ kind: 'peak', workS: 60 }, up, 30)).toEqual([])
  })
})
