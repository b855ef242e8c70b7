import "@fontsource-variable/fraunces";
import "@fontsource-variable/source-sans-3";
import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./app/App";
import { theme } from "./theme/theme";

// Styles made while it runs are let in by the page's own nonce.
const nonce = document.querySelector<HTMLMetaElement>("meta[name=nonce]")?.content;
const styles = createCache({ key: "css", nonce });
const queries = new QueryClient({ defaultOptions: { queries: { retry: false, refetchOnWindowFocus: false } } });

const root = document.getElementById("root");
if (!root) throw new Error("The page has no place for the application.");
createRoot(root).render(
  <StrictMode>
    <CacheProvider value={styles}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <QueryClientProvider client={queries}>
          <App />
        </QueryClientProvider>
      </ThemeProvider>
    </CacheProvider>
  </StrictMode>,
);
