<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Telamon\Tests\Browser\Support\BrowserTestCase;

/** A morning: everything that waits is worked through without touching the mouse. Comes last, as it leaves nothing. */
final class WorkTest extends BrowserTestCase
{
    public function testAllThatWaitsIsWorkedThroughWithTheKeyboardAlone(): void
    {
        $this->signIn();
        $this->find('.plan .line');
        $worked = $asked = 0;
        while (null !== ($id = $this->current())) {
            if ('Growth Desk' === $this->find('.sheet-head h2')->getText()) {
                $this->press('a');
                $this->findWith('.aside-panel', 'Why is');
                $this->press('1');
            } else {
                // A choice after the other, by the key that its first block shows.
                while ([] !== ($keys = $this->all('.line.decide .key-square'))) {
                    ++$asked;
                    $open = \count($this->all('.line.decide'));
                    $this->press(strtolower($keys[0]->getText()));
                    $this->until(fn (): bool => \count($this->all('.line.decide')) < $open, 'the choice is made');
                }
                $this->until(fn (): bool => null === $this->find('.block.main')->getAttribute('disabled'), 'it is kept');
                $this->pressMain();
            }
            $this->until(fn (): bool => $this->current() !== $id, 'the next one comes by itself');
            ++$worked;
            self::assertLessThan(60, $worked, 'it comes to an end');
        }
        $this->see('All arrivals are answered.');
        self::assertGreaterThanOrEqual(10, $worked);
        self::assertGreaterThanOrEqual(3, $asked, 'some were doubtful');
        self::assertSame([], $this->complaints());
    }

    /** The arrival whose plan is on the screen; null once there is none. */
    private function current(): ?string
    {
        $found = null;
        $this->until(function () use (&$found): bool {
            if (str_contains($this->find('body')->getText(), 'All arrivals are answered.')) {
                $found = null;

                return true;
            }
            $row = $this->all('.arrival.active');
            $id = [] === $row ? null : $row[0]->getAttribute('data-row');
            $found = \is_string($id) ? $id : null;

            // Looked at, not waited for: with the last one answered, both are gone between one look and the next.
            $head = $this->all('.sheet-head h2');

            return null !== $found && [] !== $head && [] !== $this->all('.plan .line') && str_contains($row[0]->getText(), $head[0]->getText());
        }, 'an arrival and its plan are shown');

        return $found;
    }
}
