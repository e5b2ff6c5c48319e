// What a floor screen sends, for scripts that press on a server. Apart from lib.mjs, which runs before packages are there.
import { v7 } from 'uuid'

/** Notes as a floor screen sends them, one after another by one device: `tap()` is the next. */
export function noteTaps(deviceId, day) {
  let deviceSeq = 0
  return () => {
    deviceSeq += 1
    const ms = Date.parse(`${day}T17:00:00Z`) + deviceSeq
    return {
      ...{ id: v7(), deviceId, deviceSeq, day, kind: 'note', studentId: null, classId: null },
      hlc: `${ms.toString(36).padStart(9, '0')}-0000-${deviceId}`,
      text: `note ${deviceSeq}`,
    }
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
