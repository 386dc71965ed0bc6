<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** What a business does by hand: sets itself up, writes an inquiry down, opens and closes work. */
final class SetUpTest extends BrowserTestCase
{
    public function testASettingIsChangedWhereItStandsAndUndone(): void
    {
        $this->signIn();
        $this->go('/setup');
        $this->clickWith('.fact-value', '4 Quarry Steps');
        $field = $this->find('.fact-edit input');
        $field->clear();
        $field->sendKeys('5 Quarry Steps'.WebDriverKeys::ENTER);
        $this->see('Address saved');
        $this->findWith('.fact-value', '5 Quarry Steps');
        $this->press('u');
        $this->findWith('.fact-value', '4 Quarry Steps');
    }

    public function testAStageIsAddedAndReloadingKeepsWhatIsOpen(): void
    {
        $this->signIn();
        $this->go('/setup');
        $this->clickWith('button', 'Add stage');
        $this->find('.fact-edit input')->sendKeys('Polish');
        $this->driver->navigate()->refresh();
        $this->until(fn (): bool => 'Polish' === $this->find('.fact-edit input')->getAttribute('value'), 'what was typed is there');
        $this->clickWith('.fact-does button', 'Add');
        $this->findWith('.setup-stages button', 'Polish');
        $this->press('u');
        $this->until(fn (): bool => !str_contains($this->find('.setup-stages')->getText(), 'Polish'), 'it is undone');
    }

    public function testAnInquiryIsWrittenDownByKeyAndKeptWhileItIsTyped(): void
    {
        $this->signIn();
        $this->find('.plan .line');
        $this->press('i');
        $this->find('#q-name')->sendKeys('Ottoline Gorse');
        $this->findWith('.plan-so-far .line', 'Ottoline Gorse');
        $this->go('/clients');
        $this->find('.row-table a');
        $this->press('i');
        $this->until(fn (): bool => 'Ottoline Gorse' === $this->find('#q-name')->getAttribute('value'), 'it is kept');
        $this->find('#q-matter')->sendKeys('Rang about the pedal.'.WebDriverKeys::CONTROL.WebDriverKeys::ENTER);
        $this->see('written down');
        $this->findWith('.sheet-head', 'Ottoline Gorse');
        $this->see('by phone');
        $this->driver->executeScript('document.activeElement?.blur()');
        $this->press('u');
        $this->until(fn (): bool => !str_contains($this->find('main')->getText(), 'Rang about the pedal.'), 'one undo takes it away');
    }

    public function testScreensAreReachedByADigit(): void
    {
        $this->signIn();
        $this->find('.plan .line');
        $this->press('.');
        $this->find('.word-number');
        $this->press('3');
        $this->find('.row-table a');
        self::assertStringEndsWith('/clients', $this->driver->getCurrentURL());
    }

    public function testAProjectGetsATaskAndAnotherDayAndIsClosed(): void
    {
        $this->signIn();
        $this->go('/projects');
        $this->clickOn('.row-table tbody a');
        $this->find('.task');
        $this->press('t');
        $this->find('.new-task input')->sendKeys('Ring about the stool'.WebDriverKeys::ENTER);
        $this->findWith('.task', 'Ring about the stool');
        $this->clickWith('.block', 'Lost');
        $this->findWith('.fact-edit', 'Because');
        $this->find('.fact-edit input')->sendKeys('Too dear'.WebDriverKeys::ENTER);
        $this->see('closed as lost');
        $this->findWith('.project-name', 'lost');
        $this->press('u');
        $this->until(fn (): bool => !str_contains($this->find('.project-name')->getText(), 'lost'), 'it is open again');
    }

    public function testOnAPhoneARowOpensItsSheet(): void
    {
        $this->signIn();
        $this->resize($this->driver, 390, 844);
        $this->go('/arrivals');
        $this->clickWith('.arrival', 'Orla Fennick');
        $this->until(fn (): bool => $this->find('.sheet-head h2')->isDisplayed(), 'the sheet is in sight');
        $this->resize($this->driver, 1280, 800);
    }
}
