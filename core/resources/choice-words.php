<?php

declare(strict_types=1);

/*
 * Words that people use for the answers that a form offers. Each line is one meaning; an option is meant where its
 * value, its label or one of its own other words stands in the same line. Collected for this project from common
 * English usage; yes and no also as they are written in neighbouring languages.
 */
return [
    'yes' => ['yes', 'y', 'yes please', 'yeah', 'yep', 'yup', 'sure', 'ok', 'okay', 'of course', 'certainly', 'definitely', 'true', '1', 'on', 'x', 'agreed', 'i do', 'i agree', 'please do', 'ja', 'oui', 'si'],
    'no' => ['no', 'n', 'no thanks', 'no thank you', 'nope', 'nah', 'not really', 'false', '0', 'off', 'none', 'never', 'i do not', 'dont', 'not needed', 'nein', 'non'],
    'email' => ['email', 'e mail', 'mail', 'by email', 'by mail', 'in writing'],
    'phone' => ['phone', 'telephone', 'call', 'by phone', 'a call', 'ring', 'call me', 'mobile'],
    'text' => ['text', 'text message', 'sms', 'by text', 'message'],
    'morning' => ['morning', 'mornings', 'am', 'in the morning', 'before noon', 'forenoon'],
    'afternoon' => ['afternoon', 'afternoons', 'pm', 'in the afternoon', 'after lunch'],
    'evening' => ['evening', 'evenings', 'in the evening', 'after work'],
    'any' => ['any', 'any time', 'anytime', 'whenever', 'no preference', 'dont mind', 'i dont mind', 'either'],
    'soon' => ['soon', 'asap', 'as soon as possible', 'at once', 'now', 'straight away', 'immediately', 'urgent', 'urgently', 'right away'],
    'later' => ['later', 'not yet', 'some day', 'no hurry', 'no rush', 'when you can'],
    'repair' => ['repair', 'repairs', 'fix', 'mend', 'fix it', 'mending', 'broken'],
    'other' => ['other', 'something else', 'others', 'another', 'else', 'misc'],
    'friend' => ['friend', 'a friend', 'friends', 'recommended', 'recommendation', 'word of mouth', 'told by a friend'],
    'web' => ['web', 'website', 'internet', 'online', 'search', 'web search', 'searching'],
];
