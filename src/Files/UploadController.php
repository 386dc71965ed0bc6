<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Http\Problem;
use Telamon\Http\PublicLimits;

final readonly class UploadController
{
    private const MAX_BYTES = 10_485_760;

    public function __construct(
        private FileStore $store,
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        private PublicLimits $limits,
        private UploadQuota $quota,
    ) {
    }

    #[Route('/api/public/uploads', methods: ['POST'])]
    public function create(Request $request): Response
    {
        $this->limits->upload($request);
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile) {
            throw Problem::invalid('file', 'Send one file, named “file”.');
        }
        if (\in_array($file->getError(), [\UPLOAD_ERR_INI_SIZE, \UPLOAD_ERR_FORM_SIZE], true) || $file->getSize() > self::MAX_BYTES) {
            throw new Problem(413, 'Too large', 'A file may have at most 10 MB.', [['path' => 'file', 'message' => 'This file has more than 10 MB. Send a smaller one.']]);
        }
        if (\in_array($file->getError(), [\UPLOAD_ERR_CANT_WRITE, \UPLOAD_ERR_NO_TMP_DIR, \UPLOAD_ERR_PARTIAL], true) && @disk_free_space(sys_get_temp_dir()) < self::MAX_BYTES) {
            throw new Problem(507, 'No room', 'The disk is full. Nothing was half done; tell whoever runs this, and try again.');
        }
        if (!$file->isValid()) {
            throw Problem::invalid('file', 'The file did not arrive whole. Send it again.');
        }
        if (0 === $file->getSize()) {
            throw Problem::invalid('file', 'This file is empty.');
        }
        $this->limits->bytes($request, (int) $file->getSize());
        $this->quota->refuseOverfull((int) $file->getSize());
        try {
            $upload = new Upload($this->store->keep($file->getPathname()), FileKind::safeName($file->getClientOriginalName()), $this->clock->now());
        } catch (FileNotTaken $error) {
            throw new Problem(415, 'Not a kind taken here', $error->getMessage(), [['path' => 'file', 'message' => $error->getMessage()]]);
        }
        $this->em->persist($upload);
        $this->em->flush();

        return new JsonResponse(['id' => $upload->id, 'name' => $upload->name, 'size' => $upload->file->size, 'type' => $upload->file->type], 201);
    }
}
