<?php

declare(strict_types=1);

// A server that does everything wrong that a server can do.

$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
$host = $_SERVER['HTTP_HOST'];
$feed = '<rss version="2.0"><channel><title>Well</title><item><guid>1</guid><title>One</title></item></channel></rss>';
$type = static fn (string $type) => header("Content-Type: $type");

switch ($path) {
    case '/feed':
        $type('application/rss+xml');
        echo $feed;
        break;
    case '/packed':
        $type('application/rss+xml');
        header('Content-Encoding: gzip');
        echo gzencode($feed);
        break;
    case '/told':
        // What was asked for, and by whom it says it was.
        $type('application/json');
        echo json_encode(['headers' => array_change_key_case(getallheaders()), 'body' => file_get_contents('php://input')]);
        break;
    case '/elsewhere':
        // The same host by another port is another origin.
        header('Location: http://localhost:'.parse_url("http://$host", PHP_URL_PORT).'/told', true, 302);
        break;
    case '/here':
        header("Location: http://$host/told", true, 302);
        break;
    case '/oauth/token':
        header("Location: http://$host/stolen", true, 307);
        break;
    case '/stolen':
        file_put_contents(sys_get_temp_dir().'/gnomic-stolen-'.getmypid(), file_get_contents('php://input'));
        $type('application/json');
        echo '{"access_token":"a","refresh_token":"r","expires_in":3600}';
        break;
    case '/api/venues/tv-dome/ratings':
        // A service that names another's address for its next page.
        $type('application/json');
        header('Link: <http://localhost:'.parse_url("http://$host", PHP_URL_PORT).'/told>; rel="next"');
        echo '{"venue":{"venue_id":"tv-dome"},"ratings":[],"paging":{}}';
        break;
    case '/mine':
    case '/theirs':
        // A feed that moves to a stranger's, for as long as a file says so.
        $type('application/rss+xml');
        if ($path === '/mine' && is_file(sys_get_temp_dir().'/gnomic-moved-'.strtr($host, ':', '-'))) {
            header("Location: http://$host/theirs", true, 301);
            break;
        }
        echo '<rss version="2.0"><channel><title>'.($path === '/mine' ? 'Mine' : 'Cheap watches').'</title>';
        for ($number = 1; $number <= 5; $number++) {
            echo "<item><guid>$path-$number</guid><title>$path $number</title></item>";
        }
        echo '</channel></rss>';
        break;
    case '/loop':
        header("Location: http://$host/loop", true, 302);
        break;
    case '/once':
        header('Location: /feed', true, 301);
        break;
    case '/inward':
        header('Location: http://127.0.0.1:9/feed', true, 302);
        break;
    case '/to-file':
        header('Location: file:///etc/passwd', true, 302);
        break;
    case '/bomb':
        $type('application/rss+xml');
        header('Content-Encoding: gzip');
        echo gzencode(str_repeat("\0", 60 * 1024 * 1024), 9);
        break;
    case '/large':
        $type('application/rss+xml');
        for ($megabyte = 0; $megabyte < 200; $megabyte++) {
            echo str_repeat('x', 1024 * 1024);
            if (connection_aborted() === 1) {
                break;
            }
        }
        break;
    case '/badly-packed':
        header('Content-Encoding: gzip');
        echo 'this is not gzip at all, whatever the header says';
        break;
    case '/slow':
        sleep(8);
        echo $feed;
        break;
    case '/fault':
        http_response_code(500);
        $type('application/rss+xml');
        echo '<html><body>Broken</body></html>';
        break;
    case '/busy':
        http_response_code(429);
        header('Retry-After: 900');
        break;
    case '/page':
        $type('text/html');
        echo '<!doctype html><title>A page</title><p>No feed here.';
        break;
    case '/page-with-feed':
        $type('text/html');
        echo '<!doctype html><title>A page</title><link rel="alternate" type="application/rss+xml" title="Posts" href="/feed"><p>Look.';
        break;
    case '/zip':
        $type('application/rss+xml');
        echo "PK\x03\x04\x14\x00\x00\x00";
        break;
    case '/secret':
        echo json_encode(getallheaders());
        break;
    default:
        http_response_code(404);
}
