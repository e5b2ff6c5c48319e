import { BAY_WIDTH_CM, type Room, type RoomProblem } from '../room/room'
import { length, type Wording } from './number'

/** A room's problem as a sentence, with the numbers. */
export function describeRoom(problem: RoomProblem, room: Room, wording: Wording): string {
  const bay = (id: string): string => `Bay ${room.bays.findIndex((b) => b.id === id) + 1}`
  const thing = (id: string): string => room.things.find((t) => t.id === id)?.name ?? 'Something'
  const of = (cm: number): string => length(cm, wording)
  switch (problem.code) {
    case 'bay-outside':
      return `${bay(problem.id)} runs ${of(problem.overCm)} past the end of its wall.`
    case 'door-outside':
      return `A door runs ${of(problem.overCm)} past the end of its wall.`
    case 'bays-overlap':
      return `${bay(problem.id)} and ${bay(problem.other).toLowerCase()} share ${of(problem.byCm)} of wall.`
    case 'bay-narrow':
      return `${bay(problem.id)} is ${of(problem.widthCm)} wide: under ${of(BAY_WIDTH_CM)}, so one steady person, no straddle.`
    case 'bay-on-door':
      return `${bay(problem.id)} lies across a way out: close one of them.`
    case 'thing-in-fall-zone':
      return `${thing(problem.other)} stands where somebody at ${bay(problem.id).toLowerCase()} may come down.`
    case 'mat-outside':
      return 'A mat lies partly outside the room.'
    case 'thing-outside':
      return `${thing(problem.id)} stands partly outside the room.`
    case 'no-door':
      return 'No way out is drawn yet.'
  }
}
