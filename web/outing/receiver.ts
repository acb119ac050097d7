/** Whether positions come, and why not. */
import { create } from "zustand";

export const useReceiver = create<{ readonly silent: string | undefined }>()(() => ({ silent: undefined }));
