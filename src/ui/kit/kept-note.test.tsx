/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import { show } from '../__tests__/show';
import { KeptNote, NotTaken } from './kept-note';

it('stands only where nothing was refused since: by the form, or by fold and server', () => {
  show(
    <>
      <KeptNote text="kept by itself" />
      <KeptNote text="kept, then refused by the form" refused />
      <NotTaken.Provider value>
        <KeptNote text="kept, then not taken by the log" />
      </NotTaken.Provider>
    </>,
  );
  expect(screen.getAllByRole('status').map((s) => s.textContent)).toEqual(['kept by itself', '', '']);
});
