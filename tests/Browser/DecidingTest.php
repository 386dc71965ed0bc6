<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** Doubtful matches, plans that are changed before they are accepted, rules, duplicates: in the real interface. */
final class DecidingTest extends BrowserTestCase
{
    public function testADoubtfulMatchIsDecidedAcceptedAndTakenBack(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Greta Ashmere');
        $this->findWith('.line.decide', 'Is Greta Ashmere');
        $this->findWith('.compared', 'differs, kept as on file');
        $this->press('s');
        $this->see('Same person as Greta Rushby');
        // What was decided is there for whoever goes on.
        $this->driver->navigate()->refresh();
        $this->findWith('.sheet-head', 'Greta Ashmere');
        $this->see('Same person as Greta Rushby');
        $this->pressMain();
        $this->see('Plan accepted for Greta Ashmere');
        $this->press('u');
        $this->findWith('.arrival', 'Greta Ashmere');
        self::assertSame([], $this->complaints());
    }

    public function testAPlanIsChangedBeforeItIsAccepted(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Ed Wendle');
        $this->findWith('.sheet-head', 'Ed Wendle');
        $this->click('edit: First talk');
        $this->find('.line-editor input')->sendKeys(' on the phone'.WebDriverKeys::ENTER);
        $this->see('First talk on the phone');
        $this->click('leave out: Ask for the deposit');
        $this->findWith('.line.dropped', 'Ask for the deposit');
        $this->clickWith('.add-lines button', 'a note');
        $this->find('.add-lines input')->sendKeys('Park behind the mill.'.WebDriverKeys::ENTER);
        $this->see('Note: Park behind the mill.');
        $this->pressMain();
        $this->see('Plan accepted for Ed Wendle');
        $this->go('/projects?q=Wendle');
        $this->clickOn('.row-table tbody a');
        $this->see('First talk on the phone');
        $this->see('Park behind the mill.');
        self::assertStringNotContainsString('Ask for the deposit', $this->find('main')->getText());
        self::assertSame([], $this->complaints());
    }

    public function testARuleIsMadeTriedLookedBackSwitchedOnAndSeenWorking(): void
    {
        $this->signIn();
        $this->go('/rules/new');
        $this->find('.rule input')->sendKeys('Hugh gets a call');
        (new WebDriverSelect($this->find('[aria-label="What it does"]')))->selectByValue('tag');
        $this->find('[aria-label="Tag"]')->sendKeys('call first');
        $this->clickWith('.condition button', 'if');
        (new WebDriverSelect($this->find('[aria-label="Question"]')))->selectByValue('@client');
        (new WebDriverSelect($this->find('[aria-label="Value"]')))->selectByValue('known');
        $this->clickWith('.trial option', 'Hugh Orrin');
        $this->clickWith('.trial button', 'Try it');
        $this->findWith('.both', 'Tag the project call first');
        $this->clickWith('.trial button', '90 days');
        $this->findWith('.trial [role=status]', 'It would have touched');
        $this->until(fn (): bool => [] === $this->all('.trial progress'), 'the look-back ends');
        $this->clickWith('.plinth button', 'Switch on');
        $this->see('Hugh gets a call saved, on');
        $this->go('/arrivals');
        $this->clickWith('.arrival', 'Hugh Orrin');
        $this->findWith('.line', 'Tag the project call first');
        $this->go('/rules');
        $this->clickWith('.rule-row', 'Hugh gets a call');
        $this->clickWith('.rule-acts button', 'remove');
        $this->see('removed. U takes it back.');
        self::assertSame([], $this->complaints());
    }

    public function testTwoRecordsBecomeOneAndTwoAgain(): void
    {
        $this->signIn();
        $this->go('/clients');
        $this->clickWith('a', 'Duplicates');
        $this->findWith('.side-by-side h2', 'Cormac Brackley');
        $this->press('m');
        $this->see('One client of');
        $this->until(fn (): bool => !str_contains($this->find('.pair-list')->getText(), 'Cormac'), 'the pair leaves the list');
        $this->press('u');
        $this->findWith('.pair-row', 'Cormac Brackley');
        self::assertSame([], $this->complaints());
    }
}
