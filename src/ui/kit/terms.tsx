'use client';
import { createContext, useContext, type ReactNode } from 'react';
import { inTerms, nodesInTerms, type TermsProfile } from '@/core/terms';

const Profile = createContext<TermsProfile>('international');

/** Whose terms and units the page is in: the person's; on a paper the customer's. */
export const TermsProvider = Profile.Provider;

/** What is inside was typed by somebody: it is shown as it was typed. */
export const AsTyped = ({ children }: { children: ReactNode }) => (
  <Profile.Provider value="international">{children}</Profile.Provider>
);

/** The texts among children in the reader's terms and units; elements among them see to their own. */
export const useSaid = (children: ReactNode): ReactNode => nodesInTerms(children, useContext(Profile));

/** The reader's profile, and a text in its terms and units. */
export function useTerms(): { profile: TermsProfile; say: (text: string) => string } {
  const profile = useContext(Profile);
  return { profile, say: (text) => inTerms(text, profile) };
}
