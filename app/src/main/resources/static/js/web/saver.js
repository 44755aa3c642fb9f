// Saves in order, one after the other, each on the revision that the one before gave.

/**
 * @param rev revision that the page was made with
 * @param put sends a state: (rev, state) → promise of an answer with rev
 * @param on told { saving } / { saved: answer } / { fault: error }
 */
export class Saver {
  #chain = Promise.resolve();
  #waiting = 0;

  constructor(rev, put, on) {
    this.rev = rev;
    this.put = put;
    this.on = on;
  }

  /** Queues work that changes what is stored; the state is taken now, sent when its turn comes. */
  save(state) {
    return this.queue((rev) => this.put(rev, state));
  }

  /** Queues any request that gives a new revision. */
  queue(work) {
    this.#waiting += 1;
    this.on({ saving: true });
    this.#chain = this.#chain.then(async () => {
      try {
        const answer = await work(this.rev);
        if (answer.rev !== undefined) this.rev = answer.rev;
        this.#waiting -= 1;
        this.on({ saved: answer, idle: this.#waiting === 0 });
        return answer;
      } catch (error) {
        this.#waiting -= 1;
        this.on({ fault: error });
        return null;
      }
    });
    return this.#chain;
  }

  /** When all that was queued so far is stored. */
  settled() {
    return this.#chain;
  }

  get idle() {
    return this.#waiting === 0;
  }
}
