<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\FileSessionHandler;
use Throwable;

/**
 * Sessions in files, each written beside the last and put in its place when it is whole. On a full disk those who are signed
 * in stay so and see what there is; a session that is new cannot begin, and whoever wants one is told.
 */
final class KeptSessions extends FileSessionHandler
{
    /**
     * @param  string  $sessionId
     * @param  string  $data
     */
    public function write($sessionId, $data): bool
    {
        $file = "$this->path/$sessionId";
        $new = "$file.".getmypid();
        try {
            $this->files->put($new, $data);

            return $this->files->move($new, $file);
        } catch (Throwable $fault) {
            @unlink($new);
            if (! is_file($file)) {
                throw $fault;
            }

            return true;
        }
    }
}
