'use client';

import dynamic from 'next/dynamic';
import type { Question } from './AskCard';

const AskCard = dynamic(() => import('./AskCard'), { ssr: false });

/** A question before something is lost: it waits for an answer, and nothing outside it closes it. */
export const Ask = ({ open, ...question }: Question & { open: boolean }) =>
  open ? <AskCard {...question} /> : null;
