'use client';

import { Printer } from 'lucide-react';
import { useSystem } from '../measure/useSystem';
import { useModel } from '../open/modelStore';
import type { Paper } from './listPdf';

const WORDS: Record<Paper, string> = { A4: 'A4', LETTER: 'Letter', A5: 'A5', A6: 'A6' };

/** One of a model's papers as PDF, a link for each size. */
export function PaperLinks({
  what,
  words,
  papers,
}: {
  what: string;
  words: string;
  papers: readonly Paper[];
}) {
  const id = useModel((s) => s.id);
  const [measures] = useSystem();
  return papers.map((paper) => (
    <a
      key={paper}
      className="btn"
      href={`/api/models/${id}/paper?what=${what}&paper=${paper}&measures=${measures}`}
    >
      <Printer size={18} aria-hidden />
      {words}, {WORDS[paper]}
    </a>
  ));
}
