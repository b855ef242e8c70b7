/** One long piece of work of the service, watched until it ends. */
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { usePicking } from "../../live/stores/picking";
import { say } from "../../live/stores/problem";
import type { JobReport } from "../../model/types";

/** `failed` is told why and where it fails; without it, the reason stands with the other problems. */
export function useJob(done: () => void | Promise<void>, failed?: (words: string, place: JobReport["place"]) => void): { job: JobReport | null; begin(id: string): void; cancel(): void } {
  const [id, setId] = useState<string | null>(null);
  const { data } = useQuery({ queryKey: ["job", id], queryFn: () => service.job(id!), enabled: id !== null, refetchInterval: 250 });
  const finish = useRef(done);
  finish.current = done;
  useEffect(() => {
    if (!data || data.id !== id || data.status === "waiting" || data.status === "running") return;
    setId(null);
    if (data.status === "failed") {
      if (failed) failed(data.words, data.place);
      else say({ type: "/problems/job", title: "It was not made", status: 500, detail: data.words, place: data.place }, usePicking.getState().piece);
    } else if (data.status === "done") void attempt(async () => finish.current());
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [data]);
  return {
    job: id === null ? null : data?.id === id ? data : { id, status: "waiting", progress: 0, words: "Beginning" },
    begin: setId,
    cancel: () => void (id && attempt(() => service.cancelJob(id))),
  };
}
