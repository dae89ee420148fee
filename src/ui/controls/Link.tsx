"use client";

import NextLink from "next/link";
import { useState, type ComponentProps } from "react";

/**
 * A way to another page, fetched ahead once a pointer, a finger or the keyboard is on it. Fetched as soon as they
 * are seen, a station's nine neighbours are a third of what a first visit costs the server, and one of them is gone to.
 */
export function Link({
  onPointerEnter,
  onFocus,
  ...props
}: Omit<ComponentProps<typeof NextLink>, "prefetch">) {
  const [isMeant, setMeant] = useState(false);
  return (
    <NextLink
      {...props}
      prefetch={isMeant ? null : false}
      onPointerEnter={(event) => {
        setMeant(true);
        onPointerEnter?.(event);
      }}
      onFocus={(event) => {
        setMeant(true);
        onFocus?.(event);
      }}
    />
  );
}
