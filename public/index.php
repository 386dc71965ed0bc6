<?php

declare(strict_types=1);

use Symfony\Component\HttpFoundation\Request;
use Telamon\Kernel;

require_once dirname(__DIR__).'/config/bootstrap.php';

$kernel = new Kernel(is_string($_SERVER['APP_ENV']) ? $_SERVER['APP_ENV'] : 'prod', (bool) $_SERVER['APP_DEBUG']);
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
