import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { MOST_PICTURE, type Picture } from '../../core/wire/index.ts';
import { api, AwayError, keys, newId, usePicturesOf } from '../state/index.ts';
import { shrink } from './shrink.ts';

/** The thing a place belongs to: `job/lens` of `job/lens/p1/gear`. */
const ownerOf = (about: string): string => about.split('/').slice(0, 2).join('/');

/** The pictures of a place and of all places in it. */
export function usePicturesAt(about: string): readonly Picture[] {
  const { data = [] } = usePicturesOf(ownerOf(about));
  return data.filter((picture) => picture.about === about || picture.about.startsWith(`${about}/`));
}

/** A file that is not kept yet, and why. */
export interface Failed {
  readonly file: File;
  readonly why: string;
  /** May it be kept when it is tried again? */
  readonly again: boolean;
}

/** Puts pictures with a place, and changes them there. */
export function usePictureKeeping(about: string) {
  const client = useQueryClient();
  const [busy, setBusy] = useState(0);
  const [failed, setFailed] = useState<readonly Failed[]>([]);
  /** Why the last change of a picture is not stored. */
  const [trouble, setTrouble] = useState<string | null>(null);
  const listAnew = () => client.invalidateQueries({ queryKey: keys.pictures(ownerOf(about)) });
  const keep = async (file: File) => {
    setBusy((count) => count + 1);
    try {
      const shrunk = await shrink(file, MOST_PICTURE);
      await api.addPicture(newId(), { about, words: '', ...shrunk });
      await listAnew();
    } catch (error) {
      const again = error instanceof AwayError;
      setFailed((now) => [...now, { file, why: (error as Error).message, again }]);
    } finally {
      setBusy((count) => count - 1);
    }
  };
  const add = (files: readonly File[]) => {
    setFailed([]);
    for (const file of files) void keep(file);
  };
  /** @returns is it changed? */
  const change = async (id: string, what: { readonly words?: string; readonly away?: boolean }) => {
    setTrouble(null);
    try {
      await api.changePicture(id, what);
      await listAnew();
      return true;
    } catch (error) {
      setTrouble((error as Error).message);
      return false;
    }
  };
  return { busy: busy > 0, failed, trouble, add, change };
}
