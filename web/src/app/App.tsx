import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { Component, lazy, type ReactNode, Suspense, useEffect } from "react";
import { FirstScreen } from "./FirstScreen";
import { useDesignInAddress } from "./route";

/** With its tools and its drawing in space: fetched when a design is opened. */
const load = () => import("./DesignScreen");
const DesignScreen = lazy(load);

/** The first screen does without; once it stands, the rest is fetched before it is asked for. */
function useAhead(): void {
  useEffect(() => {
    const soon = requestIdleCallback(() => void load().catch(() => undefined));
    return () => cancelIdleCallback(soon);
  }, []);
}

export function App() {
  const design = useDesignInAddress();
  useAhead();
  return <Safe key={design}>{design ? <Suspense fallback={null}><DesignScreen id={design} /></Suspense> : <FirstScreen />}</Safe>;
}

/** A fault in the interface costs the view, never the design: every finished step is kept by the server. */
class Safe extends Component<{ children: ReactNode }, { fault: Error | null }> {
  state = { fault: null as Error | null };

  static getDerivedStateFromError(fault: Error) {
    return { fault };
  }

  render() {
    const { fault } = this.state;
    if (!fault) return this.props.children;
    const again = <Button onClick={() => location.reload()}>Load again</Button>;
    return (
      <Alert severity="error" action={again} sx={{ m: 6 }}>
        The interface met a fault: {fault.message}. Your finished steps are safe.
      </Alert>
    );
  }
}
