<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

/** By what a page says which subject it is about. */
enum Follows: string
{
    /** Its schema.org data: sku, gtin, productID, @id or name. */
    case Schema = 'schema';

    /** The last step of its path. */
    case Path = 'path';

    /** An attribute data-subject, on the tag or around it. */
    case Attribute = 'data';

    public function phrase(): string
    {
        return match ($this) {
            self::Schema => 'about what the page’s own data names',
            self::Path => 'about what the page’s address names',
            self::Attribute => 'about what the page’s data-subject names',
        };
    }
}
