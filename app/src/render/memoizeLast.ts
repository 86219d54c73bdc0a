/** Works something out again only when what it is made from changed. */
export function memoizeLast<Inputs extends readonly unknown[], Result>(
  work: (...inputs: Inputs) => Result,
): (...inputs: Inputs) => Result {
  let last: { readonly inputs: Inputs; readonly result: Result } | null = null;
  return (...inputs) => {
    if (last?.inputs.every((input, i) => Object.is(input, inputs[i]))) return last.result;
    last = { inputs, result: work(...inputs) };
    return last.result;
  };
}
