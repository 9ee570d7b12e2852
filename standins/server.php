<?php

declare(strict_types=1);

// The simulated outside services: their own process, port and data (STANDINS_DATA), none of the application's code.

namespace Standins;

spl_autoload_register(static function (string $class): void {
    require __DIR__.'/'.strtr(substr($class, strlen('Standins\\')), '\\', '/').'.php';
});

$folder = (string) getenv('STANDINS_DATA');
$states = [];
foreach (['wayleaf', 'rookcall', 'ticketwick', 'shutterfen', 'corkwall', 'barrowfair'] as $name) {
    $states[$name] = new State("$folder/$name.json");
}
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$host = 'http://'.$_SERVER['HTTP_HOST'];

if ($path === '/') {
    $control = new Control($states);
    if ($_SERVER['REQUEST_METHOD'] === 'POST') {
        $control->act($_POST);
        header('Location: /', true, 303);

        return;
    }
    (new Answer(200, 'text/html; charset=utf-8', $control->page()))->send();

    return;
}
if ($path === '/mailbox') {
    // Letters that the demo has sent, the latest first: as they were written.
    $letters = array_reverse(array_filter(array_map(trim(...), explode("\nFrom gnomic ", "\n".(string) @file_get_contents((string) getenv('MAILBOX'))))));
    $shown = implode('', array_map(fn (string $letter): string => '<pre>'.htmlspecialchars(quoted_printable_decode($letter)).'</pre>', array_slice($letters, 0, 20)));
    (new Answer(200, 'text/html; charset=utf-8', '<!doctype html><html lang=en><title>Mailbox</title><h1>Mailbox of the demo</h1>'.($shown === '' ? '<p>No e-mail has come yet.</p>' : $shown)))->send();

    return;
}
if (preg_match('~^/pictures/([\w-]+)\.png$~', $path, $found) === 1) {
    Picture::of($found[1], max(32, min(1600, (int) ($_GET['w'] ?? 640))))->send();

    return;
}
if (preg_match('~^/([a-z]+)(/.*)$~', $path, $found) !== 1 || ! isset($states[$found[1]])) {
    (new Answer(404, 'text/plain; charset=utf-8', 'There is no such service here.'))->send();

    return;
}

[, $service, $rest] = $found;
switch ($states[$service]->read()['mood']) {
    case 'slow':
        usleep(2_500_000);
        break;
    case 'fault':
        (new Answer(500, 'text/html; charset=utf-8', '<!doctype html><title>Fault</title><p>Something broke.'))->send();

        return;
    case 'nonsense':
        (new Answer(200, 'application/rss+xml', str_repeat("\x07<<%% not what you think &&& ]]>", 40)))->send();

        return;
    case 'silent':
        sleep(30); // longer than anybody waits
        http_response_code(504);

        return;
}

$request = Request::current($rest);
$answer = match ($service) {
    'wayleaf' => (new Wayleaf($states['wayleaf']))->answer($request),
    'ticketwick' => (new Ticketwick($states['ticketwick'], $host))->answer($request),
    'shutterfen' => (new Shutterfen($states['shutterfen'], $host))->answer($request),
    'corkwall' => (new Corkwall($states['corkwall'], $host))->answer($request),
    'barrowfair' => (new BarrowFair($states['barrowfair'], $host))->answer($request),
    default => (new Rookcall($states['rookcall'], $host))->answer($rest),
};
$answer->send();
