<?php

declare(strict_types=1);

namespace Telamon\Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Telamon\Tests\Browser\Support\BrowserTestCase;
use Telamon\Tests\Browser\Support\Installation;

/** A quote from its draft to a yes on a phone. */
final class QuoteTest extends BrowserTestCase
{
    public function testADraftIsPricedSentChosenOnAPhoneAndSigned(): void
    {
        $this->signIn();
        $this->go('/quotes');
        $this->assertAccessible('quotes');
        $this->findWith('.quotes-table tr', 'Price a line')->findElement(WebDriverBy::cssSelector('a'))->click();
        $price = $this->find('.to-price input[aria-label^="Price of one"]');
        // What is missing is where Send leads; nothing is sent.
        $this->clickWith('.plinth .block', 'has no price');
        $this->until(
            fn (): bool => str_starts_with((string) $this->driver->switchTo()->activeElement()->getAttribute('aria-label'), 'Price of one'),
            'the price that is missing has the focus',
        );
        $this->driver->switchTo()->activeElement()->sendKeys('90');
        $this->until(fn (): bool => [] === $this->all('.to-price'), 'it is priced');
        // Loaded again before it is saved, what was typed is there.
        $this->driver->navigate()->refresh();
        $this->until(fn (): bool => [] === $this->all('.to-price') && [] !== $this->all('.quote-lines .line'), 'nothing typed is lost');
        $this->assertAccessible('a quote');
        $this->driver->getKeyboard()->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::ENTER, WebDriverKeys::NULL]);
        $this->findWith('.quote-head', 'sent');
        $before = $this->find('.quote-sums .total dd')->getText();
        $id = basename((string) parse_url($this->driver->getCurrentURL(), \PHP_URL_PATH));
        $token = $this->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch("/api/quotes/" + arguments[0]).then((r) => r.json()).then((q) => done(q.token));',
            [$id],
        );
        self::assertIsString($token);

        // Somebody of the business sees what the client sees, and can do nothing there.
        $this->go("/quote/$token");
        $this->see('This is what your client sees.');
        self::assertSame([], $this->all('.quote-answer'));
        $this->assertAccessible('a quote as the office sees it');
        $this->driver->manage()->deleteAllCookies();
        $this->resize($this->driver, 390, 844);
        $this->go("/quote/$token");
        $this->see('What you say yes to');
        $this->assertAccessible('a quote on a phone');
        $option = $this->find('.quote-group input[type=checkbox]');
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$option]);
        $option->click();
        $this->until(fn (): bool => $before !== ($total = $this->find('.quote-yes .total dd')->getText()) && '…' !== $total, 'the option is in the total');
        $total = $this->find('.quote-yes .total dd')->getText();
        $this->pressOn('.quote-answer button[type=submit]');
        $this->see('Write your full name.');
        $name = $this->find('.quote-answer input');
        $name->sendKeys('Colm Spindle');
        // Reloaded in the middle, the name and what was chosen are there.
        $this->driver->navigate()->refresh();
        $this->until(fn (): bool => 'Colm Spindle' === $this->find('.quote-answer input')->getAttribute('value'), 'the name is kept');
        $this->until(fn (): bool => $total === $this->find('.quote-yes .total dd')->getText(), 'what was chosen is in the total');
        $this->pressOn('.quote-answer button[type=submit]');
        $this->see('It is accepted. Thank you.');
        // The second time from the same browser, and back: it is what it was.
        $this->driver->navigate()->refresh();
        $this->see('Signed by Colm Spindle');
        self::assertSame([], $this->all('.quote-answer'));
        $this->assertAccessible('an accepted quote');

        // The paper is drawn by whoever serves it, which is not whoever started it.
        self::assertSame(
            '200 application/pdf',
            $this->driver->executeAsyncScript(
                'const done = arguments[1]; fetch(`/api/public/quotes/${arguments[0]}/quote.pdf`).then((r) => done(`${r.status} ${r.headers.get("Content-Type")}`));',
                [$token],
            ),
        );
        foreach (glob(Installation::running()->data.'/log/*.log') ?: [] as $log) {
            self::assertStringNotContainsString('Permission denied', (string) file_get_contents($log), $log);
        }

        $this->resize($this->driver, 1280, 800);
        $this->signInAs('coordinator@marrowby.example');
        $this->go("/quotes/$id");
        $this->findWith('.quote-told', 'signed');
        self::assertSame($total, $this->find('.quote-sums .total dd')->getText());
    }

    public function testThePriceListAndTheTableOfAnswersAreKept(): void
    {
        $this->signIn();
        $this->go('/quotes/prices');
        $this->assertAccessible('the price list');
        $this->clickWith('.plinth .block', 'Add a price');
        $this->find('.price-form');
        $field = fn (string $label) => $this->driver->findElement(WebDriverBy::xpath("//div[contains(@class, 'staff-field')][label[starts-with(., '$label')]]/input"));
        $field('Code')->sendKeys('felt');
        $field('Name')->sendKeys('Felt for the hammers');
        $field('Price of one')->sendKeys('much');
        $this->pressOn('.price-form button[type=submit]');
        $this->see('Write a figure, such as 45.50.');
        $field('Price of one')->clear();
        $field('Price of one')->sendKeys('64,50');
        $this->pressOn('.price-form button[type=submit]');
        $this->findWith('.quotes-table tr', 'Felt for the hammers');
        self::assertStringContainsString('64.50', $this->findWith('.quotes-table tr', 'Felt for the hammers')->getText());
    }

    public function testAQuoteIsKeptAsATemplateAndAnotherBegins(): void
    {
        $this->signIn();
        $this->go('/quotes');
        $this->findWith('.quotes-table tr', 'Price a line')->findElement(WebDriverBy::cssSelector('a'))->click();
        $project = $this->find('.quote-head a[href^="/projects/"]')->getAttribute('href');
        $lines = \count($this->all('.quote-lines .line'));
        $this->clickWith('.quote-papers button', 'Keep as a template');
        $name = $this->find('.quote-template-name input');
        $name->sendKeys([WebDriverKeys::CONTROL, 'a', WebDriverKeys::NULL, 'Whole <b>action</b> & keys']);
        $this->assertAccessible('a quote that becomes a template');
        $name->sendKeys(WebDriverKeys::ENTER);
        $this->until(fn (): bool => [] === $this->all('.quote-template-name'), 'it is kept');
        $this->go((string) parse_url((string) $project, \PHP_URL_PATH));
        $this->clickWith('.quote-templates button', 'Whole <b>action</b> & keys');
        $this->findWith('.quote-head', 'draft');
        $this->until(fn (): bool => $lines === \count($this->all('.quote-lines .line')), 'it has the lines of the other');
        // The name on the undo block is what is taken back; then the template is as it was made.
        $this->go('/quotes/prices');
        $this->findWith('section[aria-label=Templates] li', 'Whole <b>action</b> & keys');
    }

    public function testAnAgreementIsWrittenSentAndSignedOnAPhone(): void
    {
        $this->signIn();
        $this->go('/quotes');
        $project = $this->driver->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; fetch("/api/quotes").then((r) => r.json()).then((q) => done(q.items.find((one) => one.project && one.state === "sent").project.path));',
            [],
        );
        self::assertIsString($project);
        $this->go($project);
        $this->clickWith('button', 'Send for signature');
        $text = $this->find('.agreement-form textarea');
        $text->sendKeys([WebDriverKeys::CONTROL, WebDriverKeys::END, WebDriverKeys::NULL, "\nThe stool stays here."]);
        // Loaded again before it is sent, what was typed is there.
        $this->driver->navigate()->refresh();
        $this->clickWith('button', 'Send for signature');
        $this->until(fn (): bool => str_contains((string) $this->find('.agreement-form textarea')->getAttribute('value'), 'The stool stays here.'), 'nothing typed is lost');
        $this->assertAccessible('an agreement that is written');
        $this->pressOn('.agreement-form button[type=submit]');
        $client = $this->findWith('a[href^="/agreement/"]', 'as the client')->getAttribute('href');

        $this->go((string) parse_url((string) $client, \PHP_URL_PATH));
        $this->see('This is what your client sees.');
        $this->driver->manage()->deleteAllCookies();
        $this->resize($this->driver, 390, 844);
        $this->go((string) parse_url((string) $client, \PHP_URL_PATH));
        $this->see('The stool stays here.');
        $this->assertAccessible('an agreement on a phone');
        // One press on the wrong words says no to nothing.
        $this->clickWith('.quote-ways button', 'I do not sign it');
        $this->clickWith('.quote-ways button', 'Go on');
        $this->find('.quote-answer input')->sendKeys('Colm Spindle');
        $this->driver->navigate()->refresh();
        $this->until(fn (): bool => 'Colm Spindle' === $this->find('.quote-answer input')->getAttribute('value'), 'the name is kept');
        $this->pressOn('.quote-answer button[type=submit]');
        $this->findWith('.quote-over', 'signed');
        $this->driver->navigate()->refresh();
        $this->findWith('.quote-over', 'signed');

        $this->resize($this->driver, 1280, 800);
        $this->signInAs('coordinator@marrowby.example');
        $this->go($project);
        $this->findWith('.lines li', 'by Colm Spindle');
    }

    private function pressOn(string $css): void
    {
        $button = $this->find($css);
        $this->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$button]);
        $button->click();
    }
}
