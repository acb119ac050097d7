/** A view without halves: what stands alone on the light one. */
import type { ReactNode } from "react";

export function Page({ children, isAlert = false }: { readonly children: ReactNode; readonly isAlert?: boolean }) {
  return (
    <main data-half="light" className="page page-alert" {...(isAlert ? { role: "alert" } : {})}>
      {children}
    </main>
  );
}
