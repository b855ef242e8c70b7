/** The service's schemas by short names, and the frames of the live channel. */
import type { components } from "./schema.generated";

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
export type CurveFile = Schemas["CurveFileState"];
export type SolidFile = Schemas["SolidFileState"];
export type BenchAnswer = Schemas["BenchAnswer"];
export type Process = Schemas["ProcessState"];
export type CastAsk = Partial<Schemas["CastAsk"]>;
export type PictureAsk = Partial<Schemas["PictureAsk"]> & Pick<Schemas["PictureAsk"], "camera">;
export type TruePicture = Schemas["TruePicture"];
export type PrintProcess = Schemas["PrintProcessState"];
export type ScanAsk = Required<Schemas["ScanRequest"]>;
export type SheetAsk = Partial<Schemas["SheetAsk"]>;
export type CastAnswer = Schemas["CastAnswer"];
export type Bill = Schemas["BillState"];
export type Machine = Partial<Schemas["MachineAsk"]>;
export type Material = Schemas["MaterialState"];
export type SurfaceFacts = Schemas["SurfaceFacts"];
export type FinderAsk = Schemas["FinderAsk"];
export type KeyedJob = Schemas["KeyedJob"];
export type Place = Required<Schemas["PlaceSchema"]>;
export type RemarkState = Schemas["RemarkState"];
export type FoundState = Schemas["FoundState"];

export type Problem = Omit<Schemas["Problem"], "place"> & { place?: Partial<Place> | null };

export type CageArrays = Schemas["CageFrame"];
export type SurfaceArrays = Schemas["SurfaceFrame"];
export type LineArrays = Schemas["LineFrame"];
export type CopiesFrame = Schemas["CopiesFrame"];
export type GemFrame = Schemas["GemFrame"];
export type ShownBore = Schemas["ShownBore"];
export type ShownStones = Schemas["ShownStones"];
export type ShownGap = Schemas["ShownGap"];
export type AnyProof = Schemas["AddProof"]["proof"];
export type ShownMap = Schemas["ShownMap"];
export type ShownProof = Schemas["ShownProof"];
export type AnyGrowth = Schemas["Grow"]["growth"];
export type CurveFacts = Schemas["CurveFacts"];
export type PieceFrame = Schemas["PieceFrame"];
export type Near = Schemas["Near"];
export type Weights = Schemas["Weights"];
export type ShownCurve = Schemas["ShownCurve"];
export type AskedCurves = Required<Schemas["AskedOf"]>;
export type Body = Schemas["BodyFrame"];
export type BodiesMessage = Schemas["TellBodies"];

/** What is asked for over the live channel, and what is told there. */
export type Asked = Schemas["LiveAsked"];
export type Message = Schemas["LiveTold"];
export type Frame = Schemas["TellState"] | Schemas["TellFrame"];
