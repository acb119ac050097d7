/** A part of a view under its title. */
import type { ReactNode } from "react";

interface SectionProps {
  readonly title: string;
  readonly about?: ReactNode;
  readonly testId?: string;
  readonly children: ReactNode;
}

export function Section({ title, about, testId, children }: SectionProps) {
  return (
    <section className="section" aria-label={title} data-testid={testId}>
      <h2 className="section-title">{title}</h2>
      {about !== undefined && <div className="section-about">{about}</div>}
      {children}
    </section>
  );
}
