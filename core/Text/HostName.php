<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** Names of hosts as browsers compare them: in small letters, and those of other scripts in their ASCII form (UTS #46). */
final class HostName
{
    /** @param  string  $host  with or without a port; a star before it stays @return string as it was where it is none */
    public static function ascii(string $host): string
    {
        $host = mb_strtolower(trim($host));
        if (preg_match('/[^\x00-\x7F]/', $host) !== 1 || preg_match('/^(\*\.)?([^:]+)(:.*)?$/uD', $host, $found) !== 1) {
            return $host;
        }
        $ascii = idn_to_ascii($found[2], IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);

        return $found[1].($ascii === false ? $found[2] : $ascii).($found[3] ?? '');
    }
}
