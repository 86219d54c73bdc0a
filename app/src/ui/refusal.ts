/** Something could not be done; the message is a sentence fit to be shown. Any other error is a fault of the program. */
export class Refusal extends Error {
  override readonly name = 'Refusal';
}
