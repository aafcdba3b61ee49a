import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface ClassKeys {
  /** Of classes made or opened on this browser, the newest first. */
  readonly keys: readonly string[];
  add(key: string): void;
  drop(key: string): void;
}

/** Which classes this browser teaches: whoever has a class’s key is its teacher. */
export const useClassKeys = create<ClassKeys>()(
  persist(
    (set) => ({
      keys: [],
      add: (key) => set(({ keys }) => ({ keys: [key, ...keys.filter((one) => one !== key)].slice(0, 200) })),
      drop: (key) => set(({ keys }) => ({ keys: keys.filter((one) => one !== key) })),
    }),
    {
      name: 'vuelta-classes',
      partialize: ({ keys }) => ({ keys }),
      merge: (kept, now) => {
        const read = z.object({ keys: z.array(z.string()) }).safeParse(kept);
        return read.success ? { ...now, ...read.data } : now;
      },
    },
  ),
);
