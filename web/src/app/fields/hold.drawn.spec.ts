import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/angular';
import { Hold } from './hold';

/** jsdom has no pointer events: a mouse event with their fields. */
const pointer = (type: string, fields: object = {}): Event =>
  Object.assign(new MouseEvent(type, { bubbles: true, button: 0, detail: 1 }), {
    isPrimary: true,
    width: 20,
    height: 20,
    ...fields,
  });

describe('does a held button press nothing but what is meant?', () => {
  const pressed = jest.fn();
  beforeEach(async () => {
    jest.useFakeTimers();
    pressed.mockClear();
    await render(`<button type="button" [ypHold]="400" (pressed)="pressed()">Done</button>`, {
      imports: [Hold],
      componentProperties: { pressed },
    });
  });
  afterEach(() => {
    jest.useRealTimers();
  });
  const button = (): HTMLElement => screen.getByRole('button', { name: 'Done' });

  it('held for 0.4 s it is pressed, once', () => {
    fireEvent(button(), pointer('pointerdown'));
    jest.advanceTimersByTime(399);
    expect(pressed).not.toHaveBeenCalled();
    jest.advanceTimersByTime(1);
    fireEvent(button(), pointer('pointerup'));
    fireEvent.click(button(), { detail: 1 });
    expect(pressed).toHaveBeenCalledTimes(1);
  });
  it('a drop that rolls off, and a short press, do nothing', () => {
    fireEvent(button(), pointer('pointerdown'));
    jest.advanceTimersByTime(200);
    fireEvent(button(), pointer('pointerleave'));
    jest.advanceTimersByTime(1000);
    expect(pressed).not.toHaveBeenCalled();
  });
  it('a palm does nothing, and a second touch lets go', () => {
    fireEvent(button(), pointer('pointerdown', { width: 90, height: 120 }));
    jest.advanceTimersByTime(1000);
    fireEvent(button(), pointer('pointerdown'));
    jest.advanceTimersByTime(200);
    fireEvent(document.body, pointer('pointerdown', { isPrimary: false }));
    jest.advanceTimersByTime(1000);
    expect(pressed).not.toHaveBeenCalled();
  });
  it('a key presses it at once', () => {
    fireEvent.click(button(), { detail: 0 });
    expect(pressed).toHaveBeenCalledTimes(1);
  });
});
