<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;

/** What a coordinator does all day, without the mouse. */
final class KeyboardTest extends BrowserTestCase
{
    public function testAWrongPasswordIsToldAndTheAddressKept(): void
    {
        $this->go('/sign-in');
        $this->find('input[type=email]')->sendKeys('coordinator@marrowby.example');
        $this->find('input[type=password]')->sendKeys('wrong'.WebDriverKeys::ENTER);
        $this->see('Wrong email or password.');
        self::assertSame('coordinator@marrowby.example', $this->find('input[type=email]')->getAttribute('value'));
    }

    public function testWalkingTheListAndChoosing(): void
    {
        $this->signIn();
        $this->find('.plan .line');
        $names = array_map(static fn ($row): string => explode("\n", $row->getText())[0], $this->all('.arrival'));
        $this->until(fn (): bool => $this->find('.sheet-head h2')->getText() === $names[0], 'the first is chosen');
        $this->press(WebDriverKeys::ARROW_DOWN);
        $this->until(fn (): bool => $this->find('.sheet-head h2')->getText() === $names[1], 'the arrow goes on');
        $this->press(WebDriverKeys::ARROW_UP);
        $this->until(fn (): bool => $this->find('.sheet-head h2')->getText() === $names[0], 'the arrow goes back');
        $this->clickWith('.arrival', 'Maeve');
        $this->find('.line.decide');
        $this->press('n');
        $this->see('New client: Maeve Ó Garrow');
        $this->driver->navigate()->refresh();
        $this->see('New client: Maeve Ó Garrow');
        $this->press('s');
        $this->see('Same person as Maeve Ó Garrow');
    }

    public function testSettingAsideAndUndoing(): void
    {
        $this->signIn();
        $this->clickWith('.arrival', 'Growth Desk');
        $this->see('Ten thousand addresses');
        $this->press('a');
        $this->see('Why is Growth Desk set aside?');
        $this->press('1');
        $this->see('Growth Desk set aside');
        $this->until(fn (): bool => !str_contains($this->find('.pillar')->getText(), 'Growth Desk'), 'it leaves the list');
        $this->press('u');
        $this->findWith('.arrival', 'Growth Desk');
    }

    public function testFindingFromAnywhere(): void
    {
        $this->signIn();
        $this->find('.plan .line');
        $this->press('/');
        $this->find('.find input[aria-autocomplete=list]:focus')->sendKeys('ambry');
        $this->findWith('.find-paper', 'Clients');
        $this->clickWith('.find-paper .MuiAutocomplete-option', 'wilf.ambry@');
        $this->until(fn (): bool => 'Wilf Ambry' === $this->find('.record-head h1')->getText(), 'the client opens');
    }

    public function testKeysAreOffWhileTypingAndCanBeTurnedOff(): void
    {
        $this->signIn();
        $this->go('/clients');
        $this->find('.row-table a');
        $this->find('input[type=search]')->sendKeys('jakugc?');
        self::assertSame('jakugc?', $this->find('input[type=search]')->getAttribute('value'));
        self::assertSame([], $this->all('[role=dialog]'));
        $this->go('/arrivals');
        $this->find('.plan .line');
        $this->press('?');
        $this->clickWith('[role=dialog] label', 'Single keys work');
        $this->press(WebDriverKeys::ESCAPE);
        $this->until(fn (): bool => [] === $this->all('[role=dialog]'), 'Escape closes');
        $first = $this->find('.sheet-head h2')->getText();
        $this->press(WebDriverKeys::ARROW_DOWN);
        $this->findWith('.plinth', 'Undo last');
        self::assertSame($first, $this->find('.sheet-head h2')->getText());
    }

    public function testASubmissionThatIsNotThereIsSaid(): void
    {
        $this->signIn();
        $this->go('/arrivals/01a21054-d09d-73f3-84e4-dfab4b5f669b');
        $this->see('There is no such submission');
    }

    public function testFieldStaffSeeWhatIsTheirs(): void
    {
        $this->go('/sign-in');
        $this->find('input[type=email]')->sendKeys('teo@marrowby.example');
        $this->find('input[type=password]')->sendKeys('telamon-demo'.WebDriverKeys::ENTER);
        $this->find('.my-next h2');
        $words = $this->find('.lintel nav')->getText();
        self::assertStringContainsString('Projects', $words);
        self::assertStringNotContainsString('Arrivals', $words);
        $this->press('/');
        $this->find('.find input[aria-autocomplete=list]:focus')->sendKeys('ambry');
        $this->findWith('.find-paper .MuiAutocomplete-option', 'Wilf Ambry');
        self::assertSame([], $this->complaints());
    }

    public function testSigningOutClosesTheDoor(): void
    {
        $this->signIn();
        $this->clickOn('.initials');
        $this->clickWith('[role=menuitem]', 'Sign out');
        $this->see('Sign in');
        $this->go('/clients');
        $this->find('input[type=password]');
    }
}
