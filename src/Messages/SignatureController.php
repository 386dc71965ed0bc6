<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Http\JsonBody;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** One's own signature. */
#[IsGranted(Permission::Work->value)]
final readonly class SignatureController
{
    public function __construct(private Changes $changes, private Profile $business)
    {
    }

    #[Route('/api/session/signature', methods: ['PUT'])]
    public function change(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $signature = (new Edit(JsonBody::read($request)))->text('signature', 1000) ?? '';
        $business = $this->business->business();
        $this->changes->carryOut(
            Act::of(ChangeKind::Settings, 'changed how their letters end', $staff)->on('business', $staff->id, $business->name),
            static fn () => $staff->sign($signature),
        );

        return new Response('', 204);
    }
}
