/** Advance of every character of the font of figures, em: Atkinson Hyperlegible Mono, as it is shipped. */
export const FIGURES = 0.632

/**
 * Advances of the font of words from space to ~, thousandths of an em: Atkinson Hyperlegible, as it is
 * shipped. Kerning is left out.
 */
export const WORDS: readonly number[] =
  '280 281 301 655 594 927 705 160 300 300 433 602 205 368 205 377 648 402 549 574 614 583 598 510 615 598 205 205 553 602 553 520 780 626 619 656 673 567 548 710 690 414 510 627 539 820 689 727 601 753 618 596 558 690 589 840 623 595 607 315 377 315 552 396 268 526 566 500 564 539 311 560 546 278 254 490 239 841 546 552 566 576 340 471 324 536 441 654 461 429 460 319 233 319 555'
    .split(' ')
    .map(Number)

/** Of a character that is not among them, thousandths of an em: as wide as the widest. */
export const OTHER = 927
