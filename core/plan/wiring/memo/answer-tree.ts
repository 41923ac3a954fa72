/** What was asked next after the same answers, and where each answer to it leads. */
interface TreeNode<Asked, Found> {
  readonly asked: Asked;
  readonly then: Map<unknown, TreeNode<Asked, Found> | Leaf<Found>>;
}

interface Leaf<Found> {
  readonly found: Found;
}

const isLeaf = <Asked, Found>(at: TreeNode<Asked, Found> | Leaf<Found>): at is Leaf<Found> => "found" in at;

/**
 * What was found, by the answers to what was asked for it. Which question comes next is a function of the answers before it, so what is known
 * is a tree, walked by answers.
 */
export class AnswerTree<Asked, Found> {
  private root: TreeNode<Asked, Found> | Leaf<Found> | undefined;

  /** What was found where every question had the same answer; undefined where that never was. */
  find(answerTo: (asked: Asked) => unknown): Found | undefined {
    let at = this.root;
    while (at && !isLeaf(at)) at = at.then.get(answerTo(at.asked));
    return at?.found;
  }

  /** Keeps what was found. An order of questions that does not fit the tree is not kept: it is found again next time. */
  keep(asked: readonly Asked[], answerTo: (asked: Asked) => unknown, found: Found): void {
    const nodeFor = (index: number): TreeNode<Asked, Found> | Leaf<Found> => {
      const question = asked[index];
      return question === undefined ? { found } : { asked: question, then: new Map() };
    };
    let at = (this.root ??= nodeFor(0));
    for (const [index, question] of asked.entries()) {
      if (isLeaf(at) || at.asked !== question) return;
      const value = answerTo(question);
      const next: TreeNode<Asked, Found> | Leaf<Found> = at.then.get(value) ?? nodeFor(index + 1);
      at.then.set(value, next);
      at = next;
    }
  }
}
