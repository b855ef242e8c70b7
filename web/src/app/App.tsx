import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { Component, type ReactNode } from "react";
import { DesignScreen } from "./DesignScreen";
import { FirstScreen } from "./FirstScreen";
import { useDesignInAddress } from "./route";

export function App() {
  const design = useDesignInAddress();
  return <Safe key={design}>{design ? <DesignScreen id={design} /> : <FirstScreen />}</Safe>;
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
