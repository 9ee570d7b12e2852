<?php

declare(strict_types=1);

namespace App\Fetching;

use GuzzleHttp\Psr7\StreamDecoratorTrait;
use GuzzleHttp\Psr7\Utils;
use InflateContext;
use Psr\Http\Message\StreamInterface;

/**
 * Takes an answer as it comes, unpacks it on the way and stops at a bound: neither an endless answer nor a small one
 * that unpacks without end (CWE-409) is ever held whole.
 */
final class BoundedBody implements StreamInterface
{
    use StreamDecoratorTrait;

    private StreamInterface $stream;

    private ?InflateContext $unpacking = null;

    private int $length = 0;

    public bool $isOver = false;

    public bool $isBroken = false;

    public function __construct(private readonly int $most)
    {
        $this->stream = Utils::streamFor('');
    }

    /** @param  string|null  $encoding of Content-Encoding */
    public function contentEncoding(?string $encoding): void
    {
        $mode = match (strtolower(trim((string) $encoding))) {
            'gzip', 'x-gzip' => ZLIB_ENCODING_GZIP,
            'deflate' => ZLIB_ENCODING_DEFLATE,
            default => null,
        };
        $unpacking = $mode === null ? false : inflate_init($mode);
        $this->unpacking = $unpacking === false ? null : $unpacking;
    }

    /** Fewer bytes than were given make the client break off. */
    public function write(string $string): int
    {
        foreach ($this->unpacking === null ? [$string] : str_split($string, 1024) as $piece) {
            if ($this->unpacking !== null) {
                $piece = @inflate_add($this->unpacking, $piece);
                if ($piece === false) {
                    $this->isBroken = true;

                    return 0;
                }
            }
            $this->length += strlen($piece);
            if ($this->length > $this->most) {
                $this->isOver = true;

                return 0;
            }
            $this->stream->write($piece);
        }

        return strlen($string);
    }
}
