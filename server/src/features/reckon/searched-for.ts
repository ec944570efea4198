const TURN_MS = 15;

/** Runs a search round by round and lets other requests in between. @returns the best when the time is up or the search ends */
export async function searchedFor<Plan, End = Plan>(steps: Generator<Plan, End>, milliseconds: number): Promise<Plan | End> {
  const start = performance.now();
  for (let turn = start; ; ) {
    const step = steps.next();
    const now = performance.now();
    if (step.done === true || now - start >= milliseconds) return step.value;
    if (now - turn > TURN_MS) {
      await new Promise((done) => { setImmediate(done); });
      turn = performance.now();
    }
  }
}
