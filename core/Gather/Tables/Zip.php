<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Text\Charset;

/**
 * The files within a zip archive held in memory (PKWARE's APPNOTE, §4.3), stored or deflated. Workbooks are such archives.
 * What a file unpacks to is bounded, whatever the archive says of it (CWE-409).
 */
final readonly class Zip
{
    private const MOST_MEGABYTES = 64;

    /** Files that an archive is read for; workbooks have dozens. */
    private const MOST_FILES = 5_000;

    /** @param  array<string, array{int, int, int, int}>  $files  method, size packed, place of the local header, flags */
    private function __construct(private string $bytes, private array $files)
    {
    }

    /** @throws TableIsWrong */
    public static function of(string $bytes): self
    {
        $end = strrpos($bytes, "PK\x05\x06");
        $record = $end === false || strlen($bytes) < $end + 22 ? false : unpack('vcount/Vsize/Vstart', $bytes, $end + 10);
        if ($record === false) {
            throw TableIsWrong::damaged('it is cut off');
        }
        $files = [];
        $at = self::int($record['start'] ?? 0);
        for ($index = 0; $index < min(self::MOST_FILES, self::int($record['count'] ?? 0)); $index++) {
            $entry = substr($bytes, $at, 4) === "PK\x01\x02" && strlen($bytes) >= $at + 46
                ? unpack(
                    'vflags/vmethod/Vtime/Vcrc/Vpacked/Vsize/vname/vextra/vcomment/vdisk/vinner/Vouter/Vlocal',
                    $bytes,
                    $at + 8,
                ) : false;
            if ($entry === false) {
                throw TableIsWrong::damaged('its list of files is broken');
            }
            $field = fn (string $name): int => self::int($entry[$name] ?? 0);
            $files[substr($bytes, $at + 46, $field('name'))] = [$field('method'), $field('packed'), $field('local'), $field('flags')];
            $at += 46 + $field('name') + $field('extra') + $field('comment');
        }

        return new self($bytes, $files);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->files));
    }

    /**
     * A part that is XML, as UTF-8 without a document type, whose entities could grow without end, also in attributes.
     *
     * @param  int  $most  megabytes that it may unpack to
     *
     * @throws TableIsWrong
     */
    public function xml(string $name, int $most = self::MOST_MEGABYTES): ?string
    {
        $bytes = $this->read($name, $most);
        if ($bytes === null) {
            return null;
        }
        $declared = preg_match('/^<\?xml[^>]*?encoding\s*=\s*["\']([\w.-]+)/', substr($bytes, 0, 200), $found) === 1 ? $found[1] : null;
        if ($declared !== null && preg_match('/^(?:utf-?(?:16|32)|ucs)/i', $declared) === 1) {
            $declared = null; // a declaration that can be read byte by byte is in neither
        }
        $text = ltrim(Charset::decoded($bytes, $declared)->text, "\u{FEFF} \t\r\n");
        $text = (string) preg_replace('/^<\?xml[^>]*\?>/', '<?xml version="1.0" encoding="UTF-8"?>', $text);

        return str_contains($text, '<!DOCTYPE') ? throw TableIsWrong::withDocumentType() : $text;
    }

    /**
     * @param  int  $most  megabytes that it may unpack to
     *
     * @throws TableIsWrong
     */
    public function read(string $name, int $most = self::MOST_MEGABYTES): ?string
    {
        if (! isset($this->files[$name])) {
            return null;
        }
        [$method, $packed, $local, $flags] = $this->files[$name];
        if (($flags & 1) === 1) {
            throw TableIsWrong::withPassword();
        }
        $lengths = strlen($this->bytes) < $local + 30 ? false : unpack('vname/vextra', $this->bytes, $local + 26);
        if ($lengths === false) {
            throw TableIsWrong::damaged("$name is missing in it");
        }
        $data = substr($this->bytes, $local + 30 + self::int($lengths['name'] ?? 0) + self::int($lengths['extra'] ?? 0), $packed);

        return match ($method) {
            0 => $data,
            8 => self::inflated($data, $most) ?? throw TableIsWrong::damaged("$name cannot be unpacked"),
            default => throw TableIsWrong::damaged("$name is packed in a way that is not read"),
        };
    }

    /** Piece by piece, so that the bound is met before what is beyond it has been made. */
    private static function inflated(string $data, int $most): ?string
    {
        $unpacking = inflate_init(ZLIB_ENCODING_RAW);
        if ($unpacking === false) {
            return null;
        }
        $unpacked = '';
        foreach (str_split($data, 8_192) as $piece) {
            $more = @inflate_add($unpacking, $piece);
            if ($more === false) {
                return null;
            }
            $unpacked .= $more;
            if (strlen($unpacked) > $most * 1_048_576) {
                throw TableIsWrong::tooLarge($most);
            }
        }

        // What was cut off has no end, and is no file.
        return inflate_get_status($unpacking) === ZLIB_STREAM_END ? $unpacked : null;
    }

    private static function int(mixed $value): int
    {
        return is_int($value) ? $value : 0;
    }
}
