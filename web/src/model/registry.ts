/** The tools there are, by id and by what they make. They are handed in at the start; nobody below knows where they come from. */
import { stations } from "./stations";
import type { StationId, Tool, Verb } from "./tool";
import type { AnyFollower, AnyGrowth, AnyProof } from "./types";

export class Registry {
  /** By station in the order of the work, then by the tools' own order. */
  readonly all: Tool[];
  private readonly byId: Map<string, Tool>;

  constructor(tools: Tool[]) {
    const place = (tool: Tool) => stations.findIndex((station) => station.id === tool.station);
    this.all = [...tools].sort((a, b) => place(a) - place(b) || a.order - b.order);
    this.byId = new Map(tools.map((tool) => [tool.id, tool]));
    if (this.byId.size < tools.length) throw new Error("Two tools have one id.");
  }

  get(id: string | null): Tool | null {
    return (id === null ? null : this.byId.get(id)) ?? null;
  }

  /** The tool that the work of a station begins with. */
  opening(station: StationId): Tool | null {
    return this.all.find((tool) => tool.station === station && tool.opens) ?? null;
  }

  /** The tool by which a reference is placed and changed. */
  get forReferences(): Tool | null {
    return this.all.find((tool) => tool.is === "card" && tool.forReferences) ?? null;
  }

  /** The tool that takes a file of this name: the one in hand, else one of the station in hand, else the first of all. */
  forFile(name: string, station: StationId, inHand: string | null): Tool | null {
    const taking = this.all.filter((tool) => tool.files?.some((ending) => name.toLowerCase().endsWith(ending)));
    return taking.find(({ id }) => id === inHand) ?? taking.find((tool) => tool.station === station) ?? taking[0] ?? null;
  }

  /** The tool by which a follower is made and changed. */
  forFollower(follower: AnyFollower): Verb | null {
    return this.all.find((tool): tool is Verb => tool.is === "verb" && !!tool.follows?.includes(follower.kind)) ?? null;
  }

  /** The tool by which a proof is asked and changed. */
  forProof(proof: AnyProof): Verb | null {
    return this.all.find((tool): tool is Verb => tool.is === "verb" && !!tool.proves?.includes(proof.kind)) ?? null;
  }

  /** The tool by which a dimension is brought to a number. */
  makingTrue(proof: AnyProof): Verb | null {
    return this.all.find((tool): tool is Verb => tool.is === "verb" && !!tool.makesTrue?.includes(proof.kind)) ?? null;
  }

  /** The tool by which what grows is made and changed. */
  forGrowth(growth: AnyGrowth): Verb | null {
    return this.all.find((tool): tool is Verb => tool.is === "verb" && !!tool.grows?.includes(growth.kind)) ?? null;
  }
}
