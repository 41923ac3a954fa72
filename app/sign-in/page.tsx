import { SignInPlace } from "@/ui/access";
import { pagesWords } from "@/ui/words";

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export const metadata = { title: pagesWords.signInTitle };

export default async function Page({ searchParams }: Props) {
  const { next } = await searchParams;
  // Only a page of this server is led to.
  const isOwn = typeof next === "string" && /^\/(?![/\\])/.test(next);
  return <SignInPlace next={isOwn ? next : "/"} />;
}
