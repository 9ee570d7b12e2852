<?php

declare(strict_types=1);

namespace App\Editions;

use Illuminate\Filesystem\Filesystem;
use Illuminate\View\Compilers\BladeCompiler;

/** Compiles templates with those of the parts of cards in them; again where one of these was changed. */
final class TemplateCompiler extends BladeCompiler
{
    public function __construct(Filesystem $files, string $cachePath, private readonly PartTemplates $parts)
    {
        parent::__construct($files, $cachePath);
        $this->prepareStringsForCompilationUsing($parts->put(...));
    }

    /** @param  string  $path */
    public function isExpired($path): bool
    {
        if (parent::isExpired($path)) {
            return true;
        }

        return str_ends_with($path, '/items.blade.php')
            && $this->files->lastModified($this->getCompiledPath($path)) < $this->parts->changedAt();
    }
}
