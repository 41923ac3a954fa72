import { remoteLimits } from "../evaluation";
import { refined } from "./bounded-topology";
import { expandAssignment, expandPlayers } from "./expand-players";
import { busNodes, configurationsNodes, controlNodes, expandConfigurations, refineControl } from "./expand-settings";
import { topologyNode, type OpenNode, type SearchState } from "./open-nodes";
import { ALIKE } from "./plug-assignment";

/**
 * Expands a node, but no further than needed to see that its bound falls below that of the next node. Returns the nodes that are left of it.
 * @param next the bound of the next node
 */
export function expand(run: SearchState, node: OpenNode, next: number): readonly OpenNode[] {
  const cutoff = Math.max(next - ALIKE, Math.min(...node.schools.map(run.incumbent)));
  switch (node.kind) {
    case "topology":
      return expandTopology(run, node, cutoff);
    case "bus":
      return controlNodes(run, node);
    case "control":
      return node.isRefined ? configurationsNodes(run, node) : [refineControl(node, cutoff)];
    case "configurations":
      return expandConfigurations(run, node, cutoff);
    case "players":
      return expandPlayers(run, node, cutoff);
    case "assignment":
      return expandAssignment(run, node);
  }
}

/** Refines the bound of a topology, or expands it by which of its hubs are on the bus. */
function expandTopology(run: SearchState, { bounded }: Extract<OpenNode, { kind: "topology" }>, cutoff: number): readonly OpenNode[] {
  const { context, counts: looked } = run;
  const { stage } = bounded;
  // The bounds of one stage do not know all that those of another do.
  if (stage.kind !== "whole")
    return refined(context, bounded, cutoff).map((left) => topologyNode({ ...left, bound: Math.min(left.bound, bounded.bound) }));
  looked.topologies += 1;
  const variants = remoteLimits(context.space).map((remotes) => ({ ...stage.variant, remotes }));
  return busNodes(run, { bounded, variants, own: stage.own });
}
