/** One long piece of work of the service, watched until it ends. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useEffectEvent, useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { usePicking } from "../../live/stores/picking";
import { say } from "../../live/stores/problem";
import type { JobReport } from "../../model/types";

export interface Job {
  /** What is under way; null where nothing is. */
  job: JobReport | null;
  begin(id: string): void;
  cancel(): void;
}

const isUnderWay = (report: JobReport) => report.status === "waiting" || report.status === "running";

/** `failed` is told why and where it fails; without it, the reason stands with the other problems. */
export function useJob(done: () => void | Promise<void>, failed?: (words: string, place: JobReport["place"]) => void): Job {
  const [id, setId] = useState<string | null>(null);
  const { data } = useQuery({
    queryKey: ["job", id],
    queryFn: () => (id === null ? null : service.job(id)),
    enabled: id !== null,
    refetchInterval: ({ state }) => (state.data && !isUnderWay(state.data) ? false : 250),
  });
  const report = data?.id === id ? data : null;
  const ended = report !== null && !isUnderWay(report);
  const tell = useEffectEvent(({ status, words, place }: JobReport) => {
    if (status === "done") return void attempt(async () => done());
    if (status !== "failed") return;
    if (failed) failed(words, place);
    else say({ type: "/problems/job", title: "It was not made", status: 500, detail: words, place }, usePicking.getState().piece);
  });
  useEffect(() => {
    if (ended) tell(report);
    // Once for each piece of work, when it has ended.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, ended]);
  const waiting: JobReport | null = id === null ? null : { id, status: "waiting", progress: 0, words: "Beginning" };
  return {
    job: ended ? null : (report ?? waiting),
    begin: setId,
    cancel: () => void (id !== null && attempt(() => service.cancelJob(id))),
  };
}
