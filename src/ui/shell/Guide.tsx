"use client";

import { X } from "lucide-react";
import { useState } from "react";

/** One line for whoever looks round in the demonstration, until it is closed. */
export function Guide() {
  const [isOpen, setIsOpen] = useState(true);
  if (!isOpen) return null;
  return (
    <aside
      aria-label="To begin with"
      className="flex items-center gap-3 border-b border-base-300 bg-base-100 pl-3 sm:pl-6"
    >
      <p className="min-w-0 flex-1 py-1">
        A made-up bakery to look round in: turn any figure and the whole day follows. Go along the seven
        stations, then run the day.
      </p>
      <button
        type="button"
        className="btn btn-ghost touch px-2"
        aria-label="Close the guidance"
        onClick={() => setIsOpen(false)}
      >
        <X size={20} aria-hidden />
      </button>
    </aside>
  );
}
