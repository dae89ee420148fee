import type { Metadata } from "next";
import { starterFormulas } from "@/demo";
import { BookPage } from "@/ui/book/BookPage";

export const metadata: Metadata = { title: "Book" };

export default function Page() {
  return <BookPage starterFormulas={starterFormulas} />;
}
