<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** Arrivals that are given, put off, noted and done several at once; stages that set rules off: by keys, in the real interface. */
final class HandlingTest extends BrowserTestCase
{
    public function testAnArrivalIsNotedGivenAndPutOff(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Bryony Tesk');
        $this->findWith('.sheet-head', 'Bryony Tesk');
        $this->press('b');
        $this->find('.handling-note textarea')->sendKeys('Rang, nobody there.'.WebDriverKeys::CONTROL.WebDriverKeys::ENTER);
        $this->findWith('.arrival-notes', 'Rang, nobody there.');
        $this->press('c');
        $this->findWith('.aside-panel', 'Give Bryony Tesk to');
        $this->clickWith('.aside-panel button', 'Sorcha Vell');
        $this->findWith('.handling', 'Given to Sorcha Vell');
        $this->findWith('.arrival.active', 'SV');
        $this->press('h');
        $this->findWith('.aside-panel', 'Remind me of Bryony Tesk');
        $this->press('2');
        $this->findWith('.handling', 'put off');
        $this->until(fn (): bool => str_contains($this->lastGroup(), 'Bryony Tesk'), 'it stands among those put off, at the end');
        $this->press('u');
        $this->until(fn (): bool => !str_contains($this->find('.handling')->getText(), 'put off'), 'Undo takes it up again');
        self::assertSame([], $this->complaints());
    }

    public function testSeveralAreAcceptedAtOnceAndTakenBack(): void
    {
        $this->signIn();
        foreach (['Gable Lane School', 'Conor Thornlea'] as $name) {
            $this->clickWith('.arrival', $name);
            $this->findWith('.sheet-head', $name);
            $this->press(' ');
        }
        $this->findWith('.chosen-bar', '2 chosen');
        $this->findWith('.block.main', 'Accept 2 plans');
        $this->pressMain();
        $this->see('2 of 2 accepted');
        $this->clickWith('.toast button', 'Undo');
        $this->findWith('.arrival', 'Gable Lane School');
        $this->findWith('.arrival', 'Conor Thornlea');
        self::assertSame([], $this->complaints());
    }

    public function testAProjectIsMovedAndARuleDoesItsPart(): void
    {
        $this->signIn();
        $this->go('/projects?stage=Inquiry');
        $this->clickOn('.row-table tbody a');
        $this->find('.course');
        $this->click('Move to Workshop');
        $this->see('stands at Workshop');
        $this->findWith('.task', 'Photograph the piano from all sides');
        $this->press('u');
        $this->until(fn (): bool => !str_contains($this->find('main')->getText(), 'Photograph the piano from all sides'), 'one Undo takes both back');
        $this->findWith('.course-now', 'Inquiry');
        self::assertSame([], $this->complaints());
    }

    public function testTheSheetIsKeptWithTheProjectAndOpensThere(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Tamsin Oakhanger');
        $this->findWith('.sheet-head', 'Tamsin Oakhanger');
        $this->pressMain();
        $this->see('Plan accepted for Tamsin Oakhanger');
        $this->go('/projects?q=Oakhanger');
        $this->clickOn('.row-table tbody a');
        $this->find('.course');
        // The worker draws it; nobody waits for it.
        $this->until(function (): bool {
            if (str_contains($this->find('main')->getText(), 'as received.pdf')) {
                return true;
            }
            $this->driver->navigate()->refresh();
            $this->findWith('.section-head', 'Files');

            return false;
        }, 'the sheet is with the project');
        $this->clickWith('.lines button', 'as received.pdf');
        $page = $this->find('.pdf-page');
        $this->until(static fn (): bool => (int) $page->getAttribute('height') > 500, 'its first page is drawn');
        self::assertSame([], $this->complaints());
    }

    private function lastGroup(): string
    {
        $groups = $this->all('.arrivals-group');

        return [] === $groups ? '' : $groups[array_key_last($groups)]->getText();
    }
}
