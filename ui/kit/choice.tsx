"use client";

import { Select, type SelectProps } from "antd";
import { useEffect, useRef, type ReactNode } from "react";
import { kitWords } from "@/ui/words";

type ChoiceProps<Value> = Omit<SelectProps<Value>, "aria-label" | "popupRender"> & { readonly label: string };

/** A select field with its name on the field and on the list that it opens. */
export function Choice<Value extends string | string[] | null>({ label, ...rest }: ChoiceProps<Value>) {
  return (
    <Select<Value>
      notFoundContent={kitWords.noneOfThese}
      {...rest}
      aria-label={label}
      popupRender={(menu) => <NamedList label={label}>{menu}</NamedList>}
    />
  );
}

/** The library draws its list without a name of its own; it gets that of the field. */
function NamedList({ label, children }: { label: string; children: ReactNode }) {
  const popup = useRef<HTMLDivElement>(null);
  useEffect(() => popup.current?.querySelector('[role="listbox"]')?.setAttribute("aria-label", label));
  return <div ref={popup}>{children}</div>;
}
