<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Telamon\Business\Logo;
use Telamon\Business\Profile;
use Telamon\Files\SmallPicture;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** The picture at the head of the public pages: drawn anew and small, whatever was sent. */
final readonly class LogoChanges
{
    private const MOST_BYTES = 5_000_000;
    /** Twice as wide as it stands, for screens with fine dots. */
    private const SIDE = 640;

    public function __construct(private EntityManagerInterface $em, private SetupActs $acts, private Profile $business)
    {
    }

    /** @throws Refusal */
    public function put(?UploadedFile $file, Staff $staff): void
    {
        if (null === $file || !$file->isValid()) {
            throw new InvalidInput('file', 'Choose a picture.');
        }
        if ($file->getSize() > self::MOST_BYTES) {
            throw new InvalidInput('file', 'This picture is larger than 5 MB.');
        }
        $type = (string) $file->getMimeType();
        $small = SmallPicture::ofBytes($type, $file->getContent(), self::SIDE);
        if (null === $small) {
            throw new InvalidInput('file', 'Choose a PNG, JPEG, WebP or GIF picture.');
        }
        [$head, $bytes] = explode(',', $small, 2);
        $logo = new Logo(str_contains($head, 'png') ? 'image/png' : 'image/jpeg', (string) base64_decode($bytes, true));
        $this->acts->carryOut('changed the logo', $staff, function () use ($logo): void {
            $this->em->persist($logo);
            $this->business->business()->wear($logo->id);
        });
    }

    public function remove(Staff $staff): void
    {
        $this->acts->carryOut('removed the logo', $staff, fn () => $this->business->business()->wear(null));
    }
}
