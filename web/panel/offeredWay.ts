import { create } from 'zustand';
import type { Way } from '../../core/dividing/index.ts';

interface OfferedWay {
  readonly partId: string;
  readonly way: Way | null;
  offer(partId: string, way: Way | null): void;
}

/**
 * The way to take where none is in force yet, once everything was looked through: found by the panel, and
 * taken by the brass button.
 */
export const useOfferedWay = create<OfferedWay>()((set) => ({
  partId: '',
  way: null,
  offer: (partId, way) => set({ partId, way }),
}));
