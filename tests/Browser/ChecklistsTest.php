<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** Checklists, tasks and the wall as people use them. */
final class ChecklistsTest extends BrowserTestCase
{
    public function testAnAddOnIsWrittenTriedKeptThroughAReloadAndSavedAndTakenBack(): void
    {
        $this->signIn();
        $this->go('/checklists/new');
        $this->find('.list-names input')->sendKeys('Steps and stairs');
        $this->clickWith('button', 'Add item');
        $this->find('[aria-label="What is to be done"]')->sendKeys('Measure the steps of {{client}}');
        $this->clickWith('button', 'add below');
        $this->until(fn (): bool => 2 === \count($this->all('.item-row.own')), 'a second item');
        $this->find('[aria-label="What is to be done"]')->sendKeys('Carry it down');
        $this->find('[aria-label="Working days that it takes"]')->sendKeys(WebDriverKeys::BACKSPACE.'4');
        $this->find('[aria-label="Joins after"]')->sendKeys('1 First talk');
        $this->findWith('.dated tr', 'Carry it down');
        // Going away and coming back loses nothing.
        $this->go('/rules');
        $this->find('.rule-list');
        $this->go('/checklists/new');
        $this->findWith('.item-row.own', 'Carry it down');
        self::assertSame('Steps and stairs', $this->find('.list-names input')->getAttribute('value'));
        $this->assertAccessible('a checklist in draft');
        $this->find('.list-names input')->sendKeys(WebDriverKeys::CONTROL.WebDriverKeys::ENTER.WebDriverKeys::NULL);
        $this->see('Steps and stairs saved, version 1');
        $this->findWith('.list-row', 'Steps and stairs');
        // The screen of what is kept has come: a row that is opened before goes with the screen of what was new.
        $this->findWith('.plinth', 'Save version 2');
        $this->clickWith('.item-row.own', 'Measure the steps');
        self::assertSame('', $this->find('[aria-label="Due"]')->getAttribute('value'));
        // A circle cannot be chosen.
        $circle = array_values(array_filter($this->all('[aria-label="Waits for"] option'), static fn ($option): bool => str_contains($option->getText(), 'Carry it down')));
        self::assertStringContainsString('a circle', $circle[0]->getText());
        self::assertFalse($circle[0]->isEnabled());
        $this->driver->executeScript('document.activeElement.blur()');
        $this->find('body')->sendKeys('u');
        $this->until(fn (): bool => [] === array_filter($this->all('.list-row'), static fn ($row): bool => str_contains($row->getText(), 'Steps and stairs')), 'it is taken back');
        self::assertSame([], $this->complaints());
    }

    public function testTwoPeopleDoNotOverwriteEachOther(): void
    {
        $this->signIn();
        $this->go('/checklists/tuning');
        $this->find('.item-row.own');
        $mine = $this->driver;
        $this->driver = $this->open();
        $this->signIn();
        $this->go('/checklists/tuning');
        $this->retitled('What it is for', 'First of two');
        $this->see('saved, version');
        $this->driver = $mine;
        $this->retitled('What it is for', 'Second of two');
        $this->see('Somebody else saved it meanwhile');
        self::assertSame('Second of two', $this->purpose()->getAttribute('value'), 'nothing typed is lost');
    }

    public function testAProjectsTasksAreWorkedOn(): void
    {
        $this->signIn();
        $this->go('/projects');
        $this->clickOn('.row-table tbody a');
        $this->findWith('.task', 'to do')->findElement(WebDriverBy::cssSelector('button'))->click();
        $this->find('[aria-label="Comment"]')->sendKeys('The lid is loose');
        $this->find('[aria-label="Minutes worked"]')->sendKeys('15'.WebDriverKeys::ENTER);
        $this->findWith('.task-notes li', 'The lid is loose');
        $this->findWith('.task-notes li', '15 minutes');
        $this->clickOn('[data-fact="Due"]');
        $due = $this->find('.fact-edit input');
        $due->clear();
        $due->sendKeys('someday'.WebDriverKeys::ENTER);
        $this->findWith('.staff-field-error', 'This is no day');
        $due = $this->find('.fact-edit input');
        $due->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'in 3 working days'.WebDriverKeys::ENTER);
        $this->until(fn (): bool => [] === $this->all('.fact-edit'), 'it is saved');
        $this->clickWith('.pillar-head button', 'Add checklist');
        $this->find('.add-checklist select')->sendKeys('Moving');
        $this->findWith('.add-checklist', 'Reserve the van');
        $this->assertAccessible('a project with a checklist to add');
        $this->clickWith('.add-checklist button', 'Add');
        $this->findWith('.task', 'Reserve the van');
        self::assertSame([], $this->complaints());
    }

    public function testTheWallIsWalkedByKeysAndReadsWhenNarrow(): void
    {
        $this->signIn();
        $this->go('/projects/wall');
        $first = $this->find('.wall-project');
        $this->driver->executeScript('arguments[0].focus()', [$first]);
        $name = $this->at();
        $this->press(WebDriverKeys::ARROW_RIGHT);
        self::assertNotSame($name, $this->at());
        $this->press(WebDriverKeys::ARROW_LEFT);
        self::assertSame($name, $this->at());
        $this->press(WebDriverKeys::ARROW_DOWN);
        self::assertNotSame($name, $this->at());
        $this->press(' ');
        $this->find('.wall-details');
        $this->assertAccessible('the wall');
        $this->clickOn('.wall-only input');
        $this->see('not shown');
        $this->resize($this->driver, 390, 844);
        $this->find('.wall-project');
        self::assertLessThanOrEqual(390, $this->driver->executeScript('return document.documentElement.scrollWidth'));
        $this->assertAccessible('the wall on a phone');
        $this->resize($this->driver, 1280, 800);
        $this->clickOn('.wall-only input');
        $stone = $this->find('.wall-project');
        $this->driver->executeScript('arguments[0].focus()', [$stone]);
        $this->press(WebDriverKeys::ENTER);
        $this->find('.project-title');
    }

    public function testFieldStaffTickTheirTasksOnAPhone(): void
    {
        $this->resize($this->driver, 390, 844);
        $this->signInAs('pim@marrowby.example');
        $this->clickWith('.lintel nav a', 'My tasks');
        $this->find('.task-line');
        $this->assertAccessible('my tasks on a phone');
        self::assertLessThanOrEqual(390, $this->driver->executeScript('return document.documentElement.scrollWidth'));
        $before = \count($this->all('.task-line'));
        $this->clickOn('.task-tick');
        $this->see('Done. U takes it back.');
        $this->until(fn (): bool => \count($this->all('.task-line')) === $before - 1, 'it is done');
        $this->go('/tasks?who=all');
        $this->find('.task-line');
        self::assertSame([], $this->all('.tasks-narrow select[aria-label]'));
        self::assertSame([], $this->complaints());
    }

    public function testAPhotographWithoutASignalWaitsThroughAReloadAndIsSentByItself(): void
    {
        $this->resize($this->driver, 390, 844);
        $this->signInAs('pim@marrowby.example');
        $this->clickWith('.lintel nav a', 'My tasks');
        // Today has such a button too: the signal is not to go while the tasks are still on their way.
        $this->find('.tasks-narrow');
        $this->find('.photograph');
        $picture = sys_get_temp_dir().'/telamon-stairs-'.bin2hex(random_bytes(4)).'.png';
        $image = imagecreatetruecolor(60, 40);
        self::assertNotFalse($image);
        imagepng($image, $picture);
        $offline = static fn (bool $is): array => ['offline' => $is, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1];
        self::devTools($this->driver, 'Network.enable', []);
        self::devTools($this->driver, 'Network.emulateNetworkConditions', $offline(true));
        $this->find('.photographs input[type=file]')->setFileDetector(new LocalFileDetector())->sendKeys($picture);
        $this->see('1 photograph waits for a signal');
        self::devTools($this->driver, 'Network.emulateNetworkConditions', $offline(false));
        // The page may be gone and come again before it went through.
        $this->go('/tasks');
        $this->until(fn (): bool => [] === $this->all('.photographs-waiting'), 'it is sent');
        $this->clickWith('.my-next summary', 'file');
        $this->findWith('.my-next a', basename($picture));
        unlink($picture);
    }

    private function purpose(): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        $this->find('.list-names');

        return $this->all('.list-names input')[1];
    }

    private function retitled(string $label, string $text): void
    {
        $this->findWith('.list-names label', $label);
        $field = $this->purpose();
        $field->clear();
        $field->sendKeys($text.WebDriverKeys::CONTROL.WebDriverKeys::ENTER.WebDriverKeys::NULL);
    }

    private function at(): string
    {
        return $this->driver->switchTo()->activeElement()->getText();
    }
}
