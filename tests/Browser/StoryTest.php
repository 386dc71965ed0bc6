<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Support\DataFolder;

/** From the public form to the sent confirmation and back, as two people do it. */
final class StoryTest extends BrowserTestCase
{
    public function testAnInquiryBecomesAClientAProjectTasksAndAConfirmation(): void
    {
        $this->signIn();
        $this->find('.plan .line');
        $coordinator = $this->driver;

        $this->driver = $this->open(390, 844);
        $number = $this->fillIn();

        $this->driver = $coordinator;
        // It comes by itself.
        $this->clickWith('.arrival', 'Perpetua Quill');
        $this->see("Number $number");
        $this->see('New client: Perpetua Quill');
        self::assertStringContainsString('keys.png', (string) $this->find('.thumbs img')->getAttribute('alt'));

        $this->pressMain();
        self::assertTrue($this->findWith('.line.decide', 'which day is meant?')->isDisplayed());
        self::assertStringContainsString('Line 5 needs a choice first', $this->find('.choice-note')->getText());
        $this->press('2');
        $this->see('Ready by Fri 6 August 2027');
        $this->pressMain();
        $this->see('Plan accepted for Perpetua Quill, 17 lines done');

        $this->go('/messages');
        $this->clickWith('.message-row', "we have your inquiry, $number");
        $this->see('thank you for writing to us. Your inquiry');
        $this->findWith('.letter-body .mark', 'sent');

        $this->clickWith('.about a', 'P-');
        $this->see('led by Sorcha Vell');
        $this->see('Look at the piano');
        $this->findWith('.journal-act', 'accepted the plan for Perpetua Quill');
        self::assertNotEmpty($this->all('.files img'));
        $this->pressMain();
        $this->see('Task 1 finished: First talk');
        $this->findWith('.task.done', 'First talk');
        $this->press('u');
        $this->findWith('.task.chosen', 'First talk');

        $this->clickWith('.project-name a', 'Perpetua Quill');
        $this->see('+353 20 917 0001');
        $this->clickWith('.pillar a', 'Piano inquiry');
        $this->see('What was made');
        $this->clickWith('.plinth button', 'Take the plan back');
        // A letter that has gone out stays with the client: that is said before the rest is undone.
        $this->see('Something was sent already');
        $this->clickWith('.slab-plinth button', 'Undo the rest');
        $this->see('already sent; it cannot be recalled');
        $this->see('The plan');
        $this->see('Already sent to perpetua@example.com');
        self::assertSame([], $this->complaints());
    }

    private function fillIn(): string
    {
        $this->go('/f/piano-inquiry');
        $this->find('#q-name')->sendKeys('Perpetua Quill');
        $this->find('#q-email')->sendKeys('perpetua@example.com');
        $this->find('#q-phone')->sendKeys('020 917 0001'.WebDriverKeys::ENTER);
        $this->clickWith('.option', 'Repair it');
        $this->find('#q-piano')->sendKeys('Varley grand, 1931');
        $this->find('#q-place')->sendKeys('3 Tannery Yard, Corvane');
        $this->find('#q-wanted_by')->sendKeys('08/06/2027');
        $this->find('#q-matter')->sendKeys('One string buzzes.');
        $image = imagecreatetruecolor(200, 150);
        self::assertNotFalse($image);
        imagefilledrectangle($image, 20, 20, 120, 90, 0x996633);
        imagepng($image, DataFolder::root().'/keys.png');
        $this->find('input[type=file]')->sendKeys(DataFolder::root().'/keys.png');
        $this->findWith('.drop-files li', 'Remove');
        $this->clickOn('button[type=submit]');
        $this->see('We have it');
        $number = $this->find('.thanks-number dd')->getText();
        self::assertMatchesRegularExpression('/^A-\d{4}$/', $number);
        self::assertSame([], $this->complaints());

        return $number;
    }
}
