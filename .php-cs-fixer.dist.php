<?php

declare(strict_types=1);

$files = (new PhpCsFixer\Finder())
    ->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/bench', __DIR__.'/config', __DIR__.'/public', __DIR__.'/migrations'])
    ->exclude('build')
    ->append([__DIR__.'/bin/console', __FILE__]);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        'phpdoc_to_comment' => false,
        'phpdoc_align' => ['align' => 'left'],
        'phpdoc_separation' => false,
        'phpdoc_order' => false,
        'global_namespace_import' => false,
        'native_function_invocation' => ['include' => ['@compiler_optimized'], 'scope' => 'namespaced', 'strict' => true],
        'attribute_empty_parentheses' => false,
        'single_line_throw' => false,
        'trailing_comma_in_multiline' => ['elements' => ['arrays', 'arguments', 'parameters', 'match']],
        'php_unit_method_casing' => false,
        'no_superfluous_phpdoc_tags' => ['remove_inheritdoc' => true, 'allow_mixed' => true, 'allow_unused_params' => false],
    ])
    ->setFinder($files);
