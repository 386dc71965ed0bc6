<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Browser\Support\Installation;

/** Answers in parts, tables, signatures, the page to check, short forms that lead on, frames on other sites. */
final class KindsTest extends BrowserTestCase
{
    public function testAHallListsItsPianosSignsAndChecksBeforeSending(): void
    {
        $visitor = $this->driver;
        $this->resize($visitor, 320, 700);
        $this->go('/f/hall-instruments');
        $this->find('#q-hall')->sendKeys('Weir Lane School');
        $this->find('#q-email')->sendKeys('office@weir-lane.example');
        $this->part('place', 'line')->sendKeys('3 Weir Lane');
        $this->clickOn('button[type=submit]');
        $this->see('Town: this is needed too.');
        $this->assertFits();
        $this->part('place', 'locality')->sendKeys('Marrowby');
        $this->clickOn('button[type=submit]');

        $this->clickWith('.lines button', 'Add a line');
        $this->find('[id="q-pianos.0.make"]')->sendKeys('Ostermark');
        $this->clickWith('.lines button', 'Add another');
        $this->find('[id="q-pianos.1.serial"]')->sendKeys('48217');
        $this->part('agreed', 'name')->sendKeys('Wenna Weir');
        $this->clickWith('.signature .option', 'I draw it');
        $board = $this->find('.signature-board');
        (new WebDriverActions($visitor))->moveToElement($board)->clickAndHold()->moveByOffset(40, 12)->moveByOffset(30, -20)->release()->perform();
        $this->see('Your drawing is here.');
        $this->clickWith('button[type=submit]', 'Look it over');
        $this->see('This is needed.');
        $this->until(fn (): bool => 'q-pianos.1.make' === $this->driver->switchTo()->activeElement()->getAttribute('id'), 'the cell that needs another look is looked at');
        $this->assertAccessible('a table with a fault');
        $this->driver->switchTo()->activeElement()->sendKeys('Pell');
        $this->clickWith('button[type=submit]', 'Look it over');

        $this->see('Is this right?');
        $this->see('Maker: Pell, Number in the lid: 48217');
        $this->assertFits();
        $this->assertAccessible('the page to check');
        $this->clickOn('button[aria-label="Change How many steps to the door?"]');
        $this->find('#q-steps')->sendKeys('4');
        $this->clickOn('button[type=submit]');
        $this->clickWith('button[type=submit]', 'Look it over');
        $this->clickWith('button[type=submit]', 'Send to the workshop');
        $this->see('We have it');
        self::assertSame([], $this->complaints());

        $this->driver = $this->open();
        $this->signIn();
        $this->clickWith('.arrival', 'Weir Lane School');
        $this->findWith('.sheet-head', 'Hall instruments');
        $this->findWith('.answers', 'Signed by Wenna Weir, drawn');
        $this->until(
            fn (): bool => true === $this->driver->executeScript('return [...document.querySelectorAll(".thumbs img")].some((i) => i.complete && i.naturalWidth > 0)'),
            'the signature is there',
        );
        $this->findWith('.plan', 'Steps to the door: 4');
        $this->findWith('.plan', 'Add piano Pell');
    }

    public function testAShortFormLeadsOnAndIsNotAskedAgain(): void
    {
        $this->go('/f/hello');
        $this->find('#q-name')->sendKeys('Petra Sandling');
        $this->find('#q-email')->sendKeys('petra.sandling@example.com');
        $this->find('#q-reason')->sendKeys('A dull treble');
        $this->clickOn('button[type=submit]');
        $this->see('need not tell again');
        $this->until(fn (): bool => str_contains($this->driver->getCurrentURL(), '/f/piano-inquiry'), 'the longer form follows');
        self::assertSame([], $this->all('#q-name'), 'the name is known');
        $this->find('#q-phone')->sendKeys('020 916 1201'.WebDriverKeys::ENTER);
        $this->clickWith('.option', 'Repair it');
        $this->clickOn('button[type=submit]');
        $this->see('We have it');

        $this->signIn();
        $this->clickWith('.arrival', 'Petra Sandling');
        $this->findWith('.sheet-head', 'Piano inquiry');
        $this->findWith('.sheet-head', 'Carries on');
        $this->go('/arrivals?state=set-aside');
        $this->findWith('.arrival', 'carried on');
    }

    /** The other site is a page of its own on another origin, with nothing but the snippet. */
    public function testAFormStandsInAFrameOnAnotherSite(): void
    {
        $this->signIn();
        $port = Installation::freePort();
        $site = "http://127.0.0.1:$port";
        $this->allow($site);
        $folder = sys_get_temp_dir().'/telamon-site-'.bin2hex(random_bytes(4));
        mkdir($folder);
        file_put_contents(
            "$folder/index.html",
            "<!doctype html><title>Other</title><h1>Our site</h1><script async src=\"{$this->address}/embed.js\" data-form=\"tuning\"></script>",
        );
        $server = new Process([\PHP_BINARY, '-S', "127.0.0.1:$port", '-t', $folder]);
        $server->start();
        try {
            $this->until(static fn (): bool => false !== @file_get_contents("$site/"), 'the other site answers');
            $this->driver->get("$site/?utm_source=poster");
            $frame = $this->find('iframe');
            $this->until(static fn (): bool => $frame->getSize()->getHeight() > 430, 'the frame grows with its content');
            $this->driver->switchTo()->frame($frame);
            $this->find('#q-name')->sendKeys('Frame Visitor');
            $this->find('#q-email')->sendKeys('frame.visitor@example.com');
            $this->clickOn('button[type=submit]');
            $this->clickWith('.option', 'Tuning');
            $this->clickOn('button[type=submit]');
            $this->see('We have it');
        } finally {
            $server->stop(2);
        }
        $this->driver->switchTo()->defaultContent();
        $this->go('/arrivals');
        $this->clickWith('.arrival', 'Frame Visitor');
        $this->findWith('.sheet-head', 'from a page that holds it');
        $this->findWith('.origin', "127.0.0.1:$port/ (poster)");
    }

    private function allow(string $site): void
    {
        $this->go('/forms');
        $this->clickWith('.arrival', 'Tuning request');
        $this->findWith('.sheet-head', 'Ask for a tuning');
        $this->find('#form-sites')->sendKeys($site);
        $this->clickWith('.where button', 'Save where and when');
        $this->see('Saved where and when it stands.');
    }

    private function part(string $question, string $part): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        $this->find("#q-$question");

        return $this->driver->findElement(WebDriverBy::cssSelector("input[name=\"$question.$part\"]"));
    }

    /** Nothing reaches beyond the right edge. */
    private function assertFits(): void
    {
        self::assertTrue($this->driver->executeScript('return document.documentElement.scrollWidth <= window.innerWidth'), 'no scrolling sideways');
    }
}
