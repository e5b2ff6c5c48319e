import { Notice } from './notice'

/** A sentence about the whole form; absent when there is nothing to say. */
export function FormProblem({ message }: { message: string | undefined }) {
  return message ? <Notice title={message} /> : null
}
