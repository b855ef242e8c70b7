/** REST calls. A refusal becomes a Refused error that carries the problem document. */
import { answered, asked } from "./asking";
import type { BenchAnswer, Bill, CastAnswer, CastAsk, SheetAsk, PrintProcess, PictureAsk, Proposed, ProposalAsk, ScanAsk, StandAsk, StandState, TruePicture, Process, Machine, CageFile, CurveFile, SolidFile, Material, Certificate, DesignCard, DesignState, FinderAsk, KeyedJob, FoundState, JobReport, Keeping, Kind, PickRule, Problem, StepState, SurfaceFacts } from "../model/types";

export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const asking = {};
  asked(asking);
  try {
    return await answerTo<T>(method, path, body);
  } finally {
    answered(asking);
  }
}

async function answerTo<T>(method: string, path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers: body === undefined || body instanceof Blob ? undefined : { "Content-Type": "application/json" },
      body: body === undefined || body instanceof Blob ? body : JSON.stringify(body),
    });
  } catch {
    const detail = "The application's server does not answer. Your last finished step is safe.";
    throw new Refused({ type: "/problems/offline", title: "No answer", status: 0, detail });
  }
  if (response.status === 204) return undefined as T;
  const data: unknown = await response.json().catch(() => null);
  if (data === null && !response.ok) {
    const detail = `The application's server could not answer (${response.status}). Your last finished step is safe; try again.`;
    throw new Refused({ type: "/problems/offline", title: "No answer", status: response.status, detail });
  }
  if (!response.ok) throw new Refused(data as Problem);
  return data as T;
}

type Picked = { kind: Kind; ids: number[] };

const query = (values: Record<string, string | number>) =>
  new URLSearchParams(Object.entries(values).map(([key, value]) => [key, String(value)]));

const piece = (design: string, id: string) => `/designs/${design}/pieces/${id}`;

export const service = {
  designs: () => call<DesignCard[]>("GET", "/designs"),
  create: (name: string, unit: "mm" | "cm" | "in") => call<DesignState>("POST", "/designs", { name, unit }),
  copy: (id: string, name: string) => call<DesignState>("POST", `/designs/${id}/copy`, { name }),
  rename: (id: string, name: string) => call<DesignState>("PATCH", `/designs/${id}`, { name }),
  showIn: (id: string, unit: "mm" | "cm" | "in") => call<DesignState>("PATCH", `/designs/${id}`, { unit }),
  number: (text: string, asked: string, unit: string) =>
    call<{ value: number }>("GET", `/number?${new URLSearchParams({ text, asked, unit })}`),
  beginnings: (design: string, kind: string, hand: { piece: string; picked: Picked; far: { piece: string; picked: Picked } | null }) =>
    call<{ values: Record<string, unknown> }>("POST", `/designs/${design}/beginnings`, { kind, hand }),
  pick: (design: string, id: string, rule: PickRule, picked: Picked) =>
    call<Picked>("POST", `${piece(design, id)}/pick`, { rule, picked }),
  addPicture: (design: string, revision: number, file: File, view: string) =>
    call<DesignState>("POST", `/designs/${design}/pictures?${query({ revision, name: file.name, view })}`, file),
  addStamp: (design: string, revision: number, file: File, tiles: boolean) =>
    call<DesignState>("POST", `/designs/${design}/stamps?${query({ revision, name: file.name, tiles: String(tiles) })}`, file),
  /** Of the piece as it stands, or as it was at a step. */
  bake: (design: string, id: string, revision: number, step?: number) => call<DesignState>("POST", `${piece(design, id)}/baked?${query({ revision, ...(step === undefined ? {} : { step }) })}`),
  heightMapAddress: (design: string, id: string, side: string) => `/api${piece(design, id)}/height-map?${query({ side })}`,
  addComponent: (design: string, revision: number, file: File, asked: { unit: string; clearance: number; scan: boolean; watch: string }) =>
    call<DesignState>("POST", `/designs/${design}/components?${query({ revision, name: file.name, ...asked, scan: String(asked.scan) })}`, file),
  reading: (watch: string) => call<JobReport | null>("GET", `/reading/${watch}`),
  stopReading: (watch: string) => call<JobReport | null>("DELETE", `/reading/${watch}`),
  scan: (design: string, revision: number, asked: ScanAsk) => call<DesignState>("POST", `/designs/${design}/scans?${query({ revision })}`, asked),
  cleanScan: (design: string, reference: string, revision: number, holes: number) =>
    call<DesignState>("POST", `/designs/${design}/components/${reference}/cleaned?${query({ revision, holes })}`),
  beginProposal: (design: string, asked: ProposalAsk) => call<KeyedJob>("POST", `/designs/${design}/proposals`, asked),
  proposed: (key: string) => call<Proposed>("GET", `/proposals/${key}`),
  archiveAddress: (id: string) => `/api/designs/${id}/archive`,
  openArchive: (file: File) => call<DesignState>("POST", "/designs/archives", file),
  bin: () => call<DesignCard[]>("GET", "/designs/bin"),
  putInBin: (id: string) => call<void>("PUT", `/designs/bin/${id}`),
  putBack: (id: string) => call<void>("DELETE", `/designs/bin/${id}`),
  remove: (id: string) => call<void>("DELETE", `/designs/${id}`),
  give: (id: string, revision: number, command: unknown) =>
    call<DesignState>("POST", `/designs/${id}/commands`, { revision, command }),
  undo: (id: string, revision: number) => call<DesignState>("POST", `/designs/${id}/undo`, { revision }),
  redo: (id: string, revision: number) => call<DesignState>("POST", `/designs/${id}/redo`, { revision }),
  steps: (id: string, before: number) => call<StepState[]>("GET", `/designs/${id}/steps?${query({ before })}`),
  thin: (id: string, revision: number, keep: number) => call<DesignState>("POST", `/designs/${id}/thin`, { revision, keep }),
  keeping: () => call<Keeping>("GET", "/keeping"),
  clearMade: () => call<Keeping>("DELETE", "/keeping/made"),
  goTo: (id: string, revision: number, step: number) =>
    call<DesignState>("POST", `/designs/${id}/go-to`, { revision, step }),
  beginTrianglesCertificate: (design: string, id: string, chord: number, angle: number) =>
    call<JobReport>("POST", `${piece(design, id)}/triangles-certificate?tolerance=${chord}&angle=${angle}`),
  beginTriangles: (design: string, id: string, chord: number, angle: number) =>
    call<JobReport>("POST", `${piece(design, id)}/triangles?tolerance=${chord}&angle=${angle}`),
  beginSolid: (design: string, id: string) => call<JobReport>("POST", `${piece(design, id)}/solid`),
  job: (id: string) => call<JobReport>("GET", `/jobs/${id}`),
  cancelJob: (id: string) => call<JobReport>("DELETE", `/jobs/${id}`),
  certificate: (design: string, id: string) => call<Certificate | null>("GET", `${piece(design, id)}/certificate`),
  pageAddress: (design: string, id: string, larger: number) => `/api${piece(design, id)}/certificate-page?${query({ larger })}`,
  stepAddress: (design: string, id: string, anyway: boolean, larger: number) =>
    `/api${piece(design, id)}/solid.step?${query({ anyway: String(anyway), larger })}`,
  beginSolidsFile: (design: string, kind: string, tolerance: number, angle: number, anyway: boolean) =>
    call<KeyedJob>("POST", `/designs/${design}/solids-file?${query({ kind, tolerance, angle, anyway: String(anyway) })}`),
  cageAddress: (design: string, id: string, kind: string) => `/api${piece(design, id)}/cage-file?kind=${kind}`,
  outlineAddress: (design: string, id: string, view: string) => `/api${piece(design, id)}/outline.svg?view=${view}`,
  beginFile: (design: string, id: string, kind: string, fineness: { tolerance: number; angle: number }, larger: number, anyway: boolean) =>
    call<KeyedJob>("POST", `${piece(design, id)}/surface-file?${query({ kind, ...fineness, larger, anyway: String(anyway) })}`),
  fileAddress: (key: string, kind: string, name: string) => `/api/files/${key}?${query({ kind, name })}`,
  surfaceFacts: (design: string, id: string, tolerance: number, angle: number) =>
    call<SurfaceFacts | null>("GET", `${piece(design, id)}/surface-facts?${query({ tolerance, angle })}`),
  beginFinder: (design: string, id: string, asked: FinderAsk) =>
    call<KeyedJob>("POST", `${piece(design, id)}/fillet-finder`, asked),
  readCurves: (file: File, unit: string) => call<CurveFile>("POST", `/curve-files?${query({ name: file.name, unit })}`, file),
  curvesAddress: (design: string, kind: string, view: string, piece: string | null) =>
    `/api/designs/${design}/curves-file?${query({ kind, view, ...(piece ? { piece } : {}) })}`,
  readCage: (file: File, given: { unit: string; merge: number; holes: number; pair: boolean }) =>
    call<CageFile>("POST", `/cage-files?${query({ name: file.name, ...given, pair: String(given.pair) })}`, file),
  keepSolid: (file: File) => call<SolidFile>("POST", `/solid-files?${query({ name: file.name })}`, file),
  printBench: (design: string, id: string, tolerance: number, machine: Machine) =>
    call<BenchAnswer>("POST", `${piece(design, id)}/print-bench?${query({ tolerance })}`, machine),
  layerAddress: (design: string, id: string, tolerance: number, layer: number, index: number, madeFrom: string) =>
    `/api${piece(design, id)}/print-bench/layer.svg?${query({ tolerance, layer, index, of: madeFrom.slice(0, 12) })}`,
  stands: () => call<StandState[]>("GET", "/stands"),
  printProcesses: () => call<PrintProcess[]>("GET", "/print-processes"),
  processes: () => call<Process[]>("GET", "/processes"),
  casting: (design: string, id: string, asked: CastAsk) => call<CastAnswer>("POST", `${piece(design, id)}/casting`, asked),
  bill: (design: string) => call<Bill>("GET", `/designs/${design}/bill`),
  billAddress: (design: string) => `/api/designs/${design}/bill.csv`,
  beginSheet: (design: string, asked: SheetAsk) => call<KeyedJob>("POST", `/designs/${design}/sheet`, asked),
  sheetAddress: (key: string, kind: "html" | "pdf", name: string) => `/api/sheets/${key}?${query({ kind, name })}`,
  putUpStand: (design: string, revision: number, asked: StandAsk) => call<DesignState>("POST", `/designs/${design}/stands?${query({ revision })}`, asked),
  beginPicture: (design: string, asked: PictureAsk) => call<KeyedJob>("POST", `/designs/${design}/true-pictures`, asked),
  restOf: (key: string, on: boolean) => call<void>("POST", `/true-pictures/${key}/rest?${query({ on: String(on) })}`),
  enoughOf: (key: string) => call<void>("POST", `/true-pictures/${key}/enough`),
  pictureAddress: (key: string, passed = 0, moving = false) => `/api/true-pictures/${key}?${query({ passed, moving: moving ? "true" : "false" })}`,
  removePicture: (design: string, key: string) => call<void>("DELETE", `/designs/${design}/true-pictures/${key}`),
  picturesOf: (design: string) => call<TruePicture[]>("GET", `/designs/${design}/true-pictures`),
  materials: () => call<Material[]>("GET", "/materials"),
  found: (key: string) => call<FoundState | null>("GET", `/found/${key}`),
};

/** Fetch a file and hand it to the browser as a download; a refusal is thrown, not saved. */
export async function download(address: string, name: string): Promise<void> {
  const response = await fetch(address);
  if (!response.ok) throw new Refused((await response.json()) as Problem);
  const link = document.createElement("a");
  link.href = URL.createObjectURL(await response.blob());
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
