<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser\Support;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Not a check: walks through the demo and takes the pictures of docs/screenshots/. Run by bin/pictures. */
final class Pictures extends BrowserTestCase
{
    public function testPictures(): void
    {
        $this->signIn();
        $this->findWith('.arrival', 'Orla Fennick')->click();
        $this->find('.thumbs img');
        $this->findWith('.sheet-head', 'Orla Fennick');
        $this->find('.string path');
        $this->take('arrivals');
        $this->go('/clients');
        $this->find('.row-table a');
        $this->findWith('.row-table a', 'Wilf Ambry')->click();
        $this->find('.journal-act');
        $this->take('client');
        $this->go('/rules');
        $this->findWith('.trial option', 'Orla Fennick')->click();
        $this->findWith('.trial button', 'Try it')->click();
        $this->find('.both');
        $this->findWith('.trial button', '90 days')->click();
        $this->findWith('.trial [role=status]', 'It would have touched');
        $this->until(fn (): bool => [] === $this->all('.trial progress'), 'the look-back ends');
        $this->take('rules');
        $this->go('/projects');
        $this->find('.row-table a');
        $this->find('.row-table tbody a')->click();
        $this->find('.task');
        $this->find('.journal-act');
        $this->take('project');
        $this->go('/projects/wall');
        $this->find('.wall-project');
        $this->take('wall');
        $this->go('/checklists/restoration');
        $this->find('.verdict');
        $this->driver->executeScript(
            "const i = document.querySelector('[aria-label=\"Ready by\"]'); Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(i, new Date(Date.parse(document.querySelector('[aria-label=\"Start\"]').value) + 19 * 86400000).toISOString().slice(0, 10)); i.dispatchEvent(new Event('input', {bubbles: true}));",
        );
        $this->findWith('.item-row.own', 'Fit the strings')->click();
        $this->findWith('.verdict', 'short');
        $this->take('checklist');
        $this->go('/messages');
        $this->findWith('.message-row.to-read', 'Any day but the Friday')->click();
        $this->findWith('.reply-decision', '85 %');
        $this->take('messages');
        $this->go('/messages/templates/first-answer');
        $this->findWith('.reading', 'thank you for writing');
        $this->findWith('.letter-field', 'comes back to you');
        $this->take('template');
        $this->go('/messages/follow-ups/first-answer');
        $this->find('.dry-acts li');
        $this->press(']');
        $this->find('.dry-acts li.gone');
        $this->take('follow-up');
        $this->go('/messages/notices');
        $this->find('.notice-line');
        $this->take('notices');
        $this->go('/forms');
        $this->findWith('.arrival', 'Piano inquiry')->click();
        $this->findWith('.design-line button', 'Must it be ready')->click();
        $this->findWith('.pillar-head', 'Question 7');
        $this->take('forms');
        $this->go('/today');
        $this->find('.today-visit');
        $this->take('today');
        $this->go('/diary?new=1');
        $this->find('.good-times b');
        $this->take('diary');
        $this->go('/quotes');
        $this->find('.quotes-table tbody a');
        $this->take('quotes');
        $this->findWith('.quotes-table tr', 'Price a line')->findElement(WebDriverBy::cssSelector('a'))->click();
        $this->find('.quote-lines .to-price');
        $this->find('.journal-act, .quote-papers');
        $this->take('quote');
        $this->go('/quotes');
        $this->findWith('.quotes-table tr', 'opened')->findElement(WebDriverBy::cssSelector('a'))->click();
        $this->find('.quote-lines');
        $token = $this->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch(location.pathname.replace("/quotes/", "/api/quotes/")).then((r) => r.json()).then((q) => done(q.token));',
        );
        // As the client sees it: nobody of the business is signed in there.
        $this->driver->manage()->deleteAllCookies();
        $this->go('/quote/'.(\is_string($token) ? $token : ''));
        $this->find('.quote-yes .total');
        $this->take('quote-client');
        $this->go('/f/piano-inquiry');
        $this->find('#q-name')->sendKeys('Orla Fennick');
        $this->find('#q-email')->sendKeys('orla.fennick@example.com');
        $this->find('#q-phone')->sendKeys('020 914 3327'.WebDriverKeys::ENTER);
        $this->findWith('.option', 'Repair it')->click();
        $this->find('#q-piano')->sendKeys('Upright, Pell & Thrane, about 1924');
        $this->find('#q-place')->sendKeys('7 Weir Cottages, Marrowby. Three steps up.');
        $this->resize($this->driver, 390, 844);
        $this->driver->executeScript('window.scrollTo(0, 0)');
        $this->take('public-form-phone');
        $this->go('/book/visit');
        $this->find('#q-name')->sendKeys('Rosheen Attley');
        $this->find('#q-email')->sendKeys('rosheen.attley@example.com');
        $this->find('#q-place')->sendKeys('3 Mill Row, Marrowby');
        $this->find('button[type=submit]')->click();
        $this->find('.cells .start');
        $this->driver->executeScript('document.querySelectorAll(".cells input")[2].click()');
        $this->see('Held for you');
        $this->take('booking-phone');
    }

    /** Field staff, on a phone. */
    public function testOnesTasksOnAPhone(): void
    {
        $this->resize($this->driver, 390, 844);
        $this->signInAs('pim@marrowby.example');
        $this->findWith('.lintel nav a', 'My tasks')->click();
        $this->find('.task-line');
        $this->take('my-tasks-phone');
    }

    private function take(string $name): void
    {
        $this->until(
            fn (): bool => true === $this->driver->executeScript(
                'return document.fonts.status === "loaded" && [...document.images].every((i) => i.complete) && document.querySelector(".coming") === null',
            ),
            'fonts, pictures and lists are there',
        );
        $this->driver->executeScript('document.activeElement?.blur()');
        $this->driver->takeScreenshot(\dirname(__DIR__, 3)."/docs/screenshots/$name.png");
        self::assertFileExists(\dirname(__DIR__, 3)."/docs/screenshots/$name.png");
    }
}
