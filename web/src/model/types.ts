/** The service's schemas by short names, and the frames of the live channel. */
import type { components } from "./schema.generated";
import type { Vec } from "./vec";

type Schemas = components["schemas"];
export type DesignCard = Schemas["DesignCard"];
export type DesignState = Schemas["DesignState"];
export type PieceState = Schemas["PieceState"];
export type StepState = Schemas["StepState"];
export type Keeping = Schemas["KeepingState"];
export type JobReport = Schemas["JobReport"];
export type Certificate = Schemas["CertificateState"];
export type PreviewState = Schemas["PreviewState"];
export type Command = Schemas["CommandAt"]["command"];
export type Kind = Schemas["Picked"]["kind"];
export type PictureState = Schemas["PictureState"];
export type ComponentState = Schemas["ComponentState"];
export type ReferenceState = PictureState | ComponentState;
export type PickRule = Schemas["Pick"]["rule"];
export type Reach = Schemas["ReachBy"];
export type AnyFollower = Schemas["AddFollower"]["follower"];
export type CageFile = Schemas["CageFileState"];
export type SolidFile = Schemas["SolidFileState"];
export type BenchAnswer = Schemas["BenchAnswer"];
export type Machine = Partial<Schemas["MachineAsk"]>;
export type Material = Schemas["MaterialState"];
export type SurfaceFacts = Schemas["SurfaceFacts"];
export type FinderAsk = Schemas["FinderAsk"];
export type KeyedJob = Schemas["KeyedJob"];
export type Place = Required<Schemas["PlaceSchema"]>;
export type RemarkState = Schemas["RemarkState"];
export type FoundState = Schemas["FoundState"];

export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  place?: Partial<Place> | null;
}

export interface CageArrays {
  positions: Float64Array;
  face_verts: Int32Array;
  face_offsets: Int32Array;
  edge_verts: Int32Array;
  edge_faces: Int32Array;
  edge_sharpness: Float32Array;
  vertex_sharpness: Float32Array;
  edge_open: Uint8Array;
  edge_seam: Uint8Array;
  /** What each element answers to on the other sides of a symmetric piece, one side after the other. */
  images: Record<"vertex" | "edge" | "face", Int32Array> | null;
}

export interface SurfaceArrays {
  level: number;
  positions: Float32Array;
  normals: Float32Array;
  quads: Int32Array;
  face_of_quad: Int32Array;
}

export interface PieceFrame {
  id: string;
  cage?: CageArrays;
  surface?: SurfaceArrays;
  cage_rows?: { rows: Int32Array; positions: Float64Array };
  surface_rows?: { rows: Int32Array | null; positions: Float32Array; normals: Float32Array };
}

/** The nearest point of a piece's surface to a component, and the distance of each vertex of its cage, in mm. */
export interface Near {
  piece: string;
  reference: string;
  asked: number;
  distance: number;
  /** Below 0 inside; an open component has no inside, and its distances are all from 0 up. */
  signed: boolean;
  from: Vec;
  to: Vec;
  vertices: Float32Array;
}

/** How far each row of a piece's surface takes part in a change that reaches. */
export interface Weights {
  piece: string;
  rows: Float32Array;
}

/** A curve on a piece's surface, and at each of its points the curvature vector in 1/mm. */
export interface Bend {
  of: "section" | "seam" | "edges";
  points: Float32Array;
  bending: Float32Array;
  closed: boolean;
  /** In mm; null where it is straight. */
  least_radius: number | null;
  tightest: Vec;
}

/** Curves that are to be shown with every frame from now on. */
export interface AskedCurves {
  piece: string;
  seam: boolean;
  edges: number[];
  section: { point: Vec; normal: Vec } | null;
}

export interface Frame {
  curves?: Bend[];
  weights?: Weights | null;
  clearances?: Near[];
  seq: number;
  pieces: PieceFrame[];
  gone: string[];
}

export type Message =
  | ({ type: "state"; state: DesignState } & Frame)
  | ({ type: "frame"; preview: PreviewState } & Frame)
  | { type: "weights"; seq: number; weights: Weights | null }
  | { type: "curves"; seq: number; curves: Bend[] }
  | BodiesMessage
  | { type: "working"; seq: number; seconds: number; stoppable: boolean }
  | { type: "problem"; seq: number; problem: Problem };

/** What followers make of a piece: its triangles, and what became of each follower. */
export interface Body {
  id: string;
  made_from: string;
  route: "mesh" | "kernel" | "none";
  problem?: string;
  points?: Float32Array;
  normals?: Float32Array;
  triangles?: Int32Array;
  /** Follower, what became of it ("done", "waits", "failed", "off"), and why. */
  notes: [string, string, string, Partial<Place>?][];
  place?: Partial<Place>;
  edges?: { between: [string, string]; length: number; lines: Float32Array; chains: Int32Array }[];
  volume?: number;
  size?: Vec;
}

export type BodiesMessage = { type: "bodies"; seq?: number; bodies: Body[]; gone: string[] };
