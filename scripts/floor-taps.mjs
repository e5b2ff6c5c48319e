// What a floor screen sends, for scripts that press on a server. Apart from lib.mjs, which runs before packages are there.
import { v7 } from 'uuid'

/** Notes as a floor screen sends them, one after another by one device: `tap()` is the next. */
export function noteTaps(deviceId, day) {
  const stamp = stamps(deviceId, day)
  return () => {
    const next = stamp()
    return { ...next, kind: 'note', studentId: null, classId: null, text: `note ${next.deviceSeq}` }
  }
}

/** Tries of everybody on a list in turn, as Teach sends them. */
export function tryTaps(deviceId, day, classId, people) {
  const stamp = stamps(deviceId, day)
  return () => {
    const next = stamp()
    return {
      ...next,
      ...{ kind: 'attempt', studentId: people[next.deviceSeq % people.length], classId, stageId: 'FS-03e' },
      ...{ level: 'practised', outcome: 'clean', exitControlled: true, help: 'alone', faults: [] },
      ...{ endedBy: null, lead: null, seconds: null, setupId: null, replaces: null },
    }
  }
}

/** What every tap of one device carries, in its order. */
function stamps(deviceId, day) {
  let deviceSeq = 0
  return () => {
    deviceSeq += 1
    const ms = Date.parse(`${day}T17:00:00Z`) + deviceSeq
    const hlc = `${ms.toString(36).padStart(9, '0')}-0000-${deviceId}`
    return { id: v7(), deviceId, deviceSeq, day, hlc }
  }
}

/** Sends facts as a floor screen does; answers with what became of each. */
export async function sendFacts(address, facts) {
  const answer = await fetch(`${address}/facts`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ facts }),
  })
  return (await answer.json()).answers
}
