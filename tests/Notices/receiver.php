<?php

/* Stands in for a chat: keeps what it is sent, and answers what the file "status" beside says. */

declare(strict_types=1);

$folder = (string) getenv('RECEIVED');
file_put_contents("$folder/".count(glob("$folder/*.json") ?: []).'.json', json_encode(['headers' => getallheaders(), 'body' => file_get_contents('php://input')]));
http_response_code((int) file_get_contents("$folder/status"));
