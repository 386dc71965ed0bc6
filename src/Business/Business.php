<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\FollowUps\QuietDays;
use Telamon\Record\Journaled;
use Telamon\Record\Setting;
use Telamon\Staff\Staff;

/** The business that this installation serves. There is one. */
#[ORM\Entity]
class Business implements Journaled
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * Whether network addresses are kept without their last part.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => true])]
    public bool $shortensAddresses = true;

    /**
     * As it stands on papers, with its letters; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 20, options: ['default' => ''])]
    public string $vatNumber = '';

    /**
     * @var list<string> where work comes from, as offered
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $sources = [];

    /**
     * @var list<string> why work is lost, as offered
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $lostReasons = [];

    /**
     * @var list<string> why a submission is set aside, beside the usual reasons
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $asideReasons = [];

    /**
     * Colour of links and buttons on the public pages, as #RRGGBB; empty for the usual one.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 7, options: ['default' => ''])]
    public string $accent = '';

    /**
     * The picture at the head of the public pages; null for the name alone.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $logoId = null;

    /**
     * How messages end; empty for the coordinator's name, the business and its phone.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $signature = '';

    /**
     * Per cent from which a reply is read without a person.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 95])]
    public int $replyThreshold = 95;

    /**
     * The name under which the own mail server says that it has checked who wrote (RFC 8601, authserv-id); empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 120, options: ['default' => ''])]
    public string $mailServer = '';

    /**
     * When messages that nobody waits for are kept back, by the business's clock; empty for never.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 5, options: ['default' => '20:00'])]
    public string $quietFrom = '20:00';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 5, options: ['default' => '08:00'])]
    public string $quietUntil = '08:00';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: QuietDays::class, options: ['default' => 'none'])]
    public QuietDays $quietDays = QuietDays::None;

    /**
     * Messages that leave in an hour at the most; 0 for no limit.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 0])]
    public int $mailsAnHour = 0;

    /**
     * Minutes on the road between areas that the table does not hold.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 20])]
    public int $unknownRoad = 20;

    /**
     * Minutes of driving up to which a visit is said to lie on the way.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 25])]
    public int $littleDriving = 25;

    /**
     * Minutes under which what is left over between two visits is of no use.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 45])]
    public int $smallGap = 45;

    /**
     * Hours for which a time that is offered is kept.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 24])]
    public int $offerHours = 24;

    /**
     * Minutes after which somebody who began a short form has not finished the long one.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 30])]
    public int $unfinishedMinutes = 30;

    /**
     * Per cent from which on two records count as one person.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 90])]
    public int $sameFrom = 90;

    /**
     * Per cent from which on somebody is asked.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 20])]
    public int $perhapsFrom = 20;

    /**
     * Days within which somebody who writes again may mean the work that is open already.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 30])]
    public int $againDays = 30;

    /**
     * @var array<string, array<string, array{m: float, h: float, u: float}>> learned from the records; empty for the usual ones
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $matchWeights = [];

    /**
     * @param string $drawing name of a drawing that ships, for the public pages; empty for none
     * @param string $region ISO 3166-1, for phone numbers without a country
     * @param array<int, list<array{string, string}>> $hours local spans by ISO 8601 day of the week
     */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 254)]
        public string $email,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 20)]
        public string $phone,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 300)]
        public string $address,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 2)]
        public string $region,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60)]
        public string $timeZone,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 3)]
        public string $currency,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 40)]
        public string $assetWord,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 40)]
        public string $drawing,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json')]
        public array $hours,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $hoursText,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $coordinator,
    ) {
        $this->id = \Telamon\Database\Ids::next();
    }

    public function become(string $name, string $email, string $phone, string $address, string $assetWord, string $vatNumber): void
    {
        $this->name = $name;
        $this->email = $email;
        $this->phone = $phone;
        $this->address = $address;
        $this->assetWord = $assetWord;
        $this->vatNumber = $vatNumber;
    }

    /**
     * @param string $region ISO 3166-1
     * @param string $timeZone IANA
     * @param string $currency ISO 4217
     */
    public function countIn(string $region, string $timeZone, string $currency): void
    {
        $this->region = $region;
        $this->timeZone = $timeZone;
        $this->currency = $currency;
    }

    /**
     * @param array<int, list<array{string, string}>> $hours local spans by ISO 8601 day of the week
     * @param string $text the same in words
     */
    public function keepHours(array $hours, string $text): void
    {
        $this->hours = $hours;
        $this->hoursText = $text;
    }

    /**
     * @param list<string> $sources
     * @param list<string> $lostReasons
     * @param list<string> $asideReasons
     */
    public function offer(array $sources, array $lostReasons, array $asideReasons): void
    {
        $this->sources = $sources;
        $this->lostReasons = $lostReasons;
        $this->asideReasons = $asideReasons;
    }

    /** @param string $accent #RRGGBB, or empty */
    public function colour(string $accent): void
    {
        $this->accent = $accent;
    }

    /**
     * How messages are signed and answers read.
     *
     * @param string $signature of the business; empty for the coordinator's name, the business and its phone
     * @param int $threshold per cent from which a reply is read without a person
     * @param string $quietFrom, $quietUntil as 20:00 and 08:00, by the business's clock; both empty for no quiet hours
     * @param int $anHour messages at the most; 0 for no limit
     */
    public function writeBy(string $signature, int $threshold, string $quietFrom, string $quietUntil, QuietDays $quietDays, int $anHour): void
    {
        $this->signature = $signature;
        $this->replyThreshold = $threshold;
        $this->quietFrom = $quietFrom;
        $this->quietUntil = $quietUntil;
        $this->quietDays = $quietDays;
        $this->mailsAnHour = $anHour;
    }

    /** @param string $mailServer its authserv-id (RFC 8601); empty for none */
    public function trustMailOf(string $mailServer): void
    {
        $this->mailServer = $mailServer;
    }

    /** @param string|null $logo id */
    public function wear(?string $logo): void
    {
        $this->logoId = $logo;
    }

    /** @param int $minutes on the road between areas that the table does not hold */
    public function guessRoads(int $minutes): void
    {
        $this->unknownRoad = $minutes;
    }

    /**
     * What a good time is.
     *
     * @param int $driving, $gap minutes
     * @param int $hours for which an offered time is kept
     */
    public function placeBy(int $driving, int $gap, int $hours): void
    {
        $this->littleDriving = $driving;
        $this->smallGap = $gap;
        $this->offerHours = $hours;
    }

    public function coordinateBy(Staff $coordinator): void
    {
        $this->coordinator = $coordinator;
    }

    public function recordLabel(): string
    {
        return $this->name;
    }

    /** @param array<string, array<string, array{m: float, h: float, u: float}>> $weights learnt shares */
    public function matchBy(array $weights): void
    {
        $this->matchWeights = $weights;
    }

    /** @param int $unfinishedMinutes how long the longer form may take to come */
    public function takeIn(bool $shortensAddresses, int $unfinishedMinutes): void
    {
        $this->shortensAddresses = $shortensAddresses;
        $this->unfinishedMinutes = $unfinishedMinutes;
    }

    /** From which probability on somebody is the same, or perhaps; and within how many days the same answers are one. */
    public function tellApart(int $sameFrom, int $perhapsFrom, int $againDays): void
    {
        $this->sameFrom = $sameFrom;
        $this->perhapsFrom = $perhapsFrom;
        $this->againDays = $againDays;
    }

    /** The earliest opening of the week, “08:00”. */
    public function opens(): string
    {
        $starts = array_map(static fn (array $spans): string => $spans[0][0] ?? '24:00', $this->hours);

        return [] === $starts ? '08:00' : min($starts);
    }

    /** The latest closing of the week, “18:00”. */
    public function closes(): string
    {
        $ends = array_map(static fn (array $spans): string => [] === $spans ? '00:00' : $spans[\count($spans) - 1][1], $this->hours);

        return [] === $ends ? '18:00' : max($ends);
    }
}
